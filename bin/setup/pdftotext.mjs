import { access } from 'node:fs/promises';
import { ensureDebianPackages } from './debian.mjs';

/** Debian's reader of PDFs, for the tests of papers. */
export async function ensurePdftotext() {
  const there = await access('/usr/bin/pdftotext').then(
    () => true,
    () => false,
  );
  if (!there) await ensureDebianPackages(['poppler-utils'], 'A reader of PDFs');
}
