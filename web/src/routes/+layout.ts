/** The screens are drawn in the browser alone; the server answers with data. */
export const ssr = false;
export const prerender = false;
