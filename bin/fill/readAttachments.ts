import path from 'node:path';
import { calendarEntry } from '../../src/core/papers/calendarEntry';
import { paperOf } from '../../src/core/papers/paperOf';
import type { Situation } from '../../src/core/records/which/situation';
import { uidOfBooking } from '../../src/core/takingOut/calendarOf';
import { isPaper, type Paper } from '../../src/core/template/papers';
import type { Attachment } from '../../src/server/letters/composeLetter';
import { readInside } from './insideFolder';
import { readPictures } from './readPictures';

/** What goes with a letter as its head says, and in words what cannot. */
export interface Attached {
  files: Attachment[];
  missing: string[];
}

/**
 * Reads the files that a template's head names, by paths beside the records file, and makes what is made of the letter's own
 * records.
 */
export async function readAttachments(
  names: readonly string[],
  folder: string,
  situation: Situation,
): Promise<Attached> {
  const attached: Attached = { files: [], missing: [] };
  for (const name of names) {
    if (isPaper(name)) {
      const made = await makePaper(name, folder, situation);
      if (typeof made === 'string') attached.missing.push(made);
      else attached.files.push(made);
      continue;
    }
    const content = await readInside(folder, name);
    if (typeof content === 'string') attached.missing.push(`“${name}” cannot be attached. ${content}`);
    else attached.files.push({ name: path.posix.basename(name), content });
  }
  return attached;
}

/** A paper as it is attached; or why it cannot be, in words. */
async function makePaper(paper: Paper, folder: string, situation: Situation): Promise<Attachment | string> {
  const of = paperOf(paper, situation);
  if ('lacks' in of) return of.lacks;
  const { book } = situation;
  if (of.paper === 'invoice pdf') {
    // Only this needs the printer, and the others start faster without.
    const { printInvoice } = await import('../../src/server/papers/printInvoice');
    const { logo } = book.business;
    const pictures = await readPictures(logo ? [logo] : [], folder);
    if (Array.isArray(pictures)) return pictures.join(' ');
    return { name: of.file, content: await printInvoice(book, of.record, pictures.get(logo ?? '')) };
  }
  const house = book.business.email?.split('@')[1] ?? 'business';
  const entry = calendarEntry(book, of.record, {
    uid: uidOfBooking(house, of.record.key),
    // A records file does not tell how often a visit was changed: what is written later counts.
    version: Math.floor(book.now / 60_000),
  });
  return { name: of.file, content: Buffer.from(entry) };
}
