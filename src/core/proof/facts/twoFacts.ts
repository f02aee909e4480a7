import type { Note } from '../../fill/filled';
import type { Line, Stretch } from '../reading/lines';
import type { Check } from '../proofMark';

/** One thing that is said twice and not alike: a fact that was changed by hand in one place stands as it was in another. */
export const checkTwoFacts: Check = ({ lines, allNotes }) => {
  const notes = new Map(allNotes.map((note) => [note.id, note]));
  const places = lines.flatMap((line) =>
    // A row of a listing is another record's.
    line.values.flatMap((value) => {
      const note = notes.get(value.id);
      return note && !value.id.includes('.') && isExact(note) ? [{ line, value, note }] : [];
    }),
  );
  return places.flatMap(({ line, value, note }) => {
    const words = line.text.slice(value.from, value.to);
    if (value.asItIs || !words.trim()) return [];
    const other = places.find(
      (one) => one.value.asItIs && one.note.path === note.path && one.note.record === note.record,
    );
    if (!other) return [];
    return [
      {
        kind: 'query' as const,
        id: `two for one ${note.path} ${words}`,
        message: `“${words}” stands here, and elsewhere “${said(other)}” for the same ${note.said}.`,
        at: { line: line.index, from: value.from, to: value.to },
        cure: { words: `Write “${note.value}”`, put: note.value },
      },
    ];
  });
};

/** Names and words may well be written in two ways; a day or a sum may not. */
function isExact({ raw }: Note): boolean {
  return typeof raw === 'number' || (typeof raw === 'string' && /^\d{4}-\d\d-\d\d/.test(raw));
}

function said({ line, value }: { line: Line; value: Stretch }): string {
  return line.text.slice(value.from, value.to);
}
