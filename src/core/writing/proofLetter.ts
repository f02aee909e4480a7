import type { CopyDocument } from '../fairCopy/copyDocument';
import { languageOf } from '../fill/fillInto';
import { directed } from '../fill/write/directed';
import { openHoles } from '../fairCopy/values';
import { writeCopy, type WrittenCopy } from '../fairCopy/writeCopy';
import { proof } from '../proof/proof';
import type { ProofMark } from '../proof/proofMark';
import type { FilledLetter } from './writingDesk';

/** A letter as it would go, with what the proof says of it. */
export interface ProofedLetter extends WrittenCopy {
  marks: ProofMark[];
}

/** Writes out the page as it stands and checks it. */
export function proofLetter(document: CopyDocument, filled: FilledLetter): ProofedLetter {
  const language = languageOf(filled.template, filled.situation.book);
  const copy = writeCopy(document);
  const written = { ...copy, html: directed(copy.html, language) };
  const reasons = new Map(filled.holes.map(({ id, reason }) => [id, reason]));
  const holes = openHoles(document).map(({ id, label }) => ({
    reason: reasons.get(id) ?? `“${label}” is still missing.`,
  }));
  return { ...written, marks: proof({ subject: written.subject, holes }, filled.situation) };
}
