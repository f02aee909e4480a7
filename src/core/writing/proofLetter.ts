import { addressingOf, type Addressing } from '../addressing/addressingOf';
import type { CopyDocument } from '../document/copyDocument';
import { openHoles, standingSignatures, valuesOf } from '../fairCopy/values';
import { writeCopy, type WrittenCopy } from '../fairCopy/writeCopy';
import type { CompiledTemplate } from '../fill/compileTemplate';
import { askingRun } from '../fill/newRun';
import type { MemberData } from '../records/recordsFile';
import type { Situation } from '../records/which/situation';
import { languageOf } from '../fill/fillInto';
import { directed } from '../fill/write/directed';
import { proof } from '../proof/proof';
import { NOTHING_KNOWN, type LookedUp, type ProofMark } from '../proof/proofMark';
import { linesOf } from '../proof/reading/lines';
import { promisedIn } from './heldDays';
import type { FilledLetter } from './writingDesk';

/** A letter as it would go, with what the proof says of it. */
export interface ProofedLetter extends WrittenCopy {
  addressing: Addressing;
  marks: ProofMark[];
}

/** Whether a template's head says that it fits; one that says nothing always does. */
export function isMeantFor({ fits, head, slots }: CompiledTemplate, situation: Situation): boolean {
  return fits === undefined || fits(askingRun(situation, head.language, slots));
}

/**
 * Writes out the page as it stands and checks it. Queries that its writer let stand are not said again.
 * @param lookedUp what in its words is another client's, and which days are not free, as far as that was looked up
 */
export function proofLetter(
  document: CopyDocument,
  filled: FilledLetter,
  { others, taken }: LookedUp = NOTHING_KNOWN,
): ProofedLetter {
  const { template, situation, choices } = filled;
  const copy = writeCopy(document, filled.around);
  const reasons = new Map(filled.holes.map(({ id, reason }) => [id, reason]));
  const missing = (filled.around?.holes ?? []).map(({ id, reason }) => ({
    id,
    reason: `In the letterhead: ${reason}`,
  }));
  const holes = openHoles(document).map(({ id, label }) => ({
    id,
    reason: reasons.get(id) ?? `“${label}” is still missing.`,
  }));
  const standing = new Set(valuesOf(document).flatMap(({ id, words, said }) => (words === said ? [id] : [])));
  const addressing = addressingOf(filled);
  const marks = proof(
    {
      head: template.head,
      template: choices.template,
      language: languageOf(template, situation.book),
      lines: linesOf(document),
      asFilled: linesOf(filled.document),
      letters: filled.letters,
      sameLetterDays: filled.sameLetterDays,
      others,
      taken,
      promised: promisedIn(document, filled),
      allNotes: filled.notes,
      fits: isMeantFor(template, situation),
      subject: copy.subject,
      addressing,
      notes: filled.notes.filter(({ id }) => standing.has(id)),
      signatures: standingSignatures(document).map((id) => ({ whose: signerOf(id, filled) })),
      holes: [...holes, ...missing],
      along: filled.along,
      leftOut: choices.leftOut ?? [],
    },
    situation,
  );
  return {
    ...copy,
    html: directed(copy.html, languageOf(template, situation.book)),
    addressing,
    marks: marks.filter(({ kind, id }) => kind === 'stop' || !choices.stets?.includes(id)),
  };
}

/** Whose a signature is, by the id of its note. */
function signerOf(signature: string, { notes, situation: { book } }: FilledLetter): MemberData | undefined {
  const note = notes.find(({ id }) => id === signature);
  return note?.record === undefined ? undefined : book.members.get(note.record.slice('member:'.length));
}
