import { createHash } from 'node:crypto';
import { freeName } from '../../core/files/fileNames';
import { MOST_ATTACHED, tooLargeFile } from '../../core/files/limits';
import { alongInWords, sizeTogether, type Along } from '../../core/writing/goesAlong';
import type { FilledLetter } from '../../core/writing/writingDesk';
import { keepFile } from '../../data/repositories/files/files';
import { filesWanted, type Attached } from '../../data/repositories/sending/attachments';
import { connection } from '../connection';
import { paperOfInvoice, type MadePaper } from '../papers/invoicePaper';
import { paperOfVisit } from '../papers/visitPaper';

/** What goes with a letter, kept; or what of it cannot, in words. */
export type FilesThatGo = { files: Attached[]; stops: [] } | { files: undefined; stops: string[] };

interface OfLetter {
  business_id: string;
  /** whose files may go along: those of another client never do */
  client_id: string | null;
}

/** Makes what is made of the letter's own records, and finds the files that it names. @param along what is wanted of it */
export async function filesThatGo(
  { business_id, client_id }: OfLetter,
  filled: FilledLetter,
  along: readonly Along[],
): Promise<FilesThatGo> {
  const idsFrom = (source: string) => along.flatMap(({ added }) => (added?.from === source ? added.id : []));
  const found = await filesWanted(connection(), business_id, {
    named: along.flatMap(({ name, added, paper }) => (added || paper ? [] : name)),
    own: idsFrom('own'),
    record: idsFrom('record'),
    letter: idsFrom('letter'),
    client_id,
  });
  const stops: string[] = [];
  const files: (Attached & { size: number })[] = [];
  for (const one of along) {
    const ready = one.paper
      ? await kept(business_id, await made(business_id, one, filled))
      : found.get(one.added?.id ?? one.name.toLowerCase());
    // Two files of one name would be taken for one.
    const taken = files.map(({ name }) => name);
    if (ready) files.push({ ...ready, name: freeName(ready.name, taken) });
    else stops.push(`“${alongInWords(one)}” cannot go along: it is no longer there. Leave it out.`);
  }
  const together = sizeTogether(files);
  if (together > MOST_ATTACHED) stops.push(tooLargeFile(together));
  return stops.length ? { files: undefined, stops } : { files, stops: [] };
}

async function made(
  business_id: string,
  { paper }: Along,
  { situation: { book } }: FilledLetter,
): Promise<MadePaper | undefined> {
  const { kind, of = '' } = paper!;
  const [invoice, booking] = [book.invoices.get(of), book.bookings.get(of)];
  if (kind === 'invoice pdf') return invoice && paperOfInvoice(business_id, book, invoice);
  return booking && paperOfVisit(business_id, book, booking);
}

async function kept(
  business_id: string,
  paper: MadePaper | undefined,
): Promise<(Attached & { size: number }) | undefined> {
  if (!paper) return undefined;
  const { name, content } = paper;
  const sha256 = createHash('sha256').update(content).digest('hex');
  await keepFile(connection(), business_id, { sha256, media_type: 'application/octet-stream', content });
  return { name, sha256, size: content.length };
}
