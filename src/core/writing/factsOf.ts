import { eachNode } from '../document/eachNode';
import type { CopyNode } from '../document/copyDocument';
import { valuesOf } from '../fairCopy/values';
import type { Note } from '../fill/filled';
import type { FilledLetter } from './writingDesk';

/** What a letter was filled from, comparable: raw values, never how they are written, which differs in places. */
export interface LetterFacts {
  /** each field's value before any step, by the place it stands in */
  values: Record<string, unknown>;
  /** the parts of the template that are in the letter: they, too, depend on records */
  parts: string[];
  /** the addresses it goes to */
  to: string[];
}

/** A fact that is not what it was, for the writer to read. */
export interface ChangedFact {
  /** absent when it is not a field but which parts of the template are in the letter */
  label?: string;
  now: string;
}

/** What a letter was filled from, to be compared when it is sent. */
export function factsOf(filled: FilledLetter): LetterFacts {
  return {
    values: Object.fromEntries(filled.notes.filter(isFact).map(({ id, raw }) => [id, raw ?? null])),
    parts: partsOf(filled.document),
    to: [...filled.to, ...filled.copies].map(({ email }) => email),
  };
}

/**
 * What has changed since a letter was filled. A value that its writer has put other words to, or taken out, does not
 * count: it is no longer said.
 * @param then what the writer saw  @param now the same letter filled from the records as they are
 * @param document the page as it stands
 */
export function changedFacts(then: LetterFacts, now: FilledLetter, document: CopyNode): ChangedFact[] {
  const today = factsOf(now);
  const stands = new Map(valuesOf(document).map((value) => [value.id, value.words === value.said]));
  const changed: ChangedFact[] = [];
  for (const { id, label, value } of now.notes.filter(isFact)) {
    const isSame = Object.hasOwn(then.values, id) && same(then.values[id], today.values[id]);
    const handled = Object.hasOwn(then.values, id) && stands.get(id) !== true;
    if (!isSame && !handled && !changed.some((one) => one.label === label && one.now === value))
      changed.push({ label, now: value });
  }
  if (!same(then.to, today.to)) changed.push({ label: 'goes to', now: today.to.join(', ') || 'nobody' });
  if (changed.length === 0 && !same(then.parts, today.parts)) {
    changed.push({ now: 'What the letter says has changed with the records.' });
  }
  return changed;
}

/** The time of day is another at every filling. */
function isFact({ path }: Note): boolean {
  return path !== 'now';
}

function partsOf(document: CopyNode): string[] {
  return [...eachNode(document)].flatMap(
    (node) => (node.attrs && 'origin' in node.attrs && node.attrs.origin) || [],
  );
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
}
