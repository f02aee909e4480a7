/** Set on a device that has our fonts: the server names them in the page from the start. */
export const FONTS_COOKIE = 'fonts';
