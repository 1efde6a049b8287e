/** Where all of this page's addresses begin: practice and the school are records of their own. */
export const BASE = /^\/(practice|school)(?=\/|$)/.exec(location.pathname)?.[0] ?? "";
