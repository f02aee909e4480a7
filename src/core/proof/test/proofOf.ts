import type { OwnFile } from '../../contract/files';
import { putWords } from '../../fairCopy/change/putWords';
import { SAMPLE } from '../../fill/test/fillSample';
import type { PastLetter } from '../../fitting/fittingTemplates';
import type { RecordsFile } from '../../records/recordsFile';
import type { StartingKind } from '../../records/recordKind';
import type { Signature } from '../../template/template';
import { readTemplate } from '../../template/text/readTemplate';
import type { Choices } from '../../writing/letter';
import { proofLetter } from '../../writing/proofLetter';
import { WritingDesk } from '../../writing/writingDesk';
import type { OfAnother, ProofMark, TakenDay } from '../proofMark';
import { linesOf } from '../reading/lines';

export interface Given {
  from?: string;
  /** lines of the template's head */
  head?: string;
  subject?: string;
  name?: string;
  records?: Partial<RecordsFile>;
  choices?: Partial<Choices>;
  signatures?: Signature[];
  files?: OwnFile[];
  letters?: PastLetter[];
  sameLetterDays?: number;
  others?: OfAnother[];
  taken?: TakenDay[];
  /** typed by hand: words that stand in the letter, and what is put in their place */
  typed?: readonly (readonly [before: string, after: string])[];
}

/** What the proof says of a letter from the sample's records (Monday 2 March 2026, nine in London). */
export function proofOf(body: string, given: Given = {}): ProofMark[] {
  const {
    from = 'invoice:K-101',
    head = '',
    subject = 'S',
    name = 'T',
    records,
    choices,
    signatures,
  } = given;
  const [kind, key] = from.split(':') as [StartingKind, string];
  const unsigned = signatures ? '' : 'signature: none\n';
  const source = `---\nname: ${name}\ngroup: G\nstarts from: ${kind}\nsubject: '${subject}'\n${unsigned}${head}---\n${body}`;
  const { value, problems } = readTemplate(source, 't.md');
  if (!value) throw new Error(JSON.stringify(problems));
  const desk = new WritingDesk({
    records: { ...SAMPLE, ...records },
    now: Date.parse('2026-03-02T09:00:00Z'),
    templates: [{ ...value, key: 't', version: 1 }],
    passages: [],
    signatures: signatures ?? [],
    files: given.files ?? [],
    letters: given.letters ?? [],
    ...(given.sameLetterDays === undefined ? {} : { sameLetterDays: given.sameLetterDays }),
    member: 'imke',
  });
  const filled = desk.fill({ kind, key }, { template: 't', answers: {}, ...choices });
  if (!filled) throw new Error(JSON.stringify(desk.compile('t')));
  let { document } = filled;
  for (const [before, after] of given.typed ?? []) {
    const line = linesOf(document).find(({ text }) => text.includes(before));
    if (!line) throw new Error(`“${before}” does not stand in the letter.`);
    const at = line.text.indexOf(before);
    document = putWords(document, { line: line.index, from: at, to: at + before.length }, after);
  }
  return proofLetter(document, filled, { others: given.others ?? [], taken: given.taken ?? [] }).marks;
}
