import type { MetadataJson } from 'libphonenumber-js/core';
import all from 'libphonenumber-js/min/metadata';

/** How telephone numbers are written, of every country. Named `#phone-countries` everywhere but in a browser. */
export const countries: MetadataJson = all;
