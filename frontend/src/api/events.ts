/** What the whole page is told of its server. */

/** The server wants to know who it is. */
export const WHO = "plimb-who";
/** The server answers again after it did not. */
export const BACK = "plimb-back";
/** The server has answered: the answer is the detail. */
export const HEARD = "plimb-heard";
/** The server has not answered. */
export const MISSED = "plimb-missed";
