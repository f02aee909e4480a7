import { ensureProgram } from './debian.mjs';

/** Debian's reader of PDFs, for the tests of papers. */
export function ensurePdftotext() {
  return ensureProgram('/usr/bin/pdftotext', 'poppler-utils', 'A reader of PDFs');
}
