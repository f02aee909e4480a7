/** Stands at the end of the address of a page that was made just now: it is written on at once. */
export const BEGIN = '#begin';
