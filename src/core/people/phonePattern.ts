/** A telephone number as it stands in a text; a date is none: 3/3/2026, 2026-03-03. */
export const PHONE =
  /(?<![\d,./-])(?!\d{1,4}[/-]\d{1,2}[/-]\d{1,4}(?!\d))\+?\(?\d[\d ()/-]{6,20}\d(?![\d,.]\d)/gu;
