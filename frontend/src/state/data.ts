/** Where the browser keeps what was last fetched of the record, for when there is no server. */
export const DATA = "plimb-data";
