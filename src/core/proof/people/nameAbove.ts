import { fullName } from '../../people/names';
import type { Check } from '../proofMark';

/** A name that is typed above a signature which says it, too. */
export const checkNameAbove: Check = ({ lines, signatures }, { sender }) => {
  const at = lines.findIndex(({ signature }) => signature);
  const signature = lines
    .slice(at)
    .filter((line) => line.signature)
    .map(({ text }) => text)
    .join('\n');
  const above = lines.slice(0, Math.max(0, at)).findLast(({ text, isSubject }) => text.trim() && !isSubject);
  if (!above) return [];
  // The last of its lines: “Yours,⏎Imke”.
  const from = above.text.trimEnd().lastIndexOf('\n') + 1;
  const typed = above.text.slice(from).trim();
  for (const whose of [...signatures.flatMap(({ whose: one }) => one ?? []), sender]) {
    const names = [fullName(whose), whose.given_name, fullName(whose)?.split(' ')[0]].filter(Boolean);
    if (!typed || !names.some((name) => same(name!, typed)) || !signature.includes(names.at(-1)!)) continue;
    return [
      {
        kind: 'query',
        id: `name above ${typed}`,
        message: `“${typed}” stands above a signature that says it, too.`,
        at: { line: above.index, from: Math.max(0, from - 1), to: above.text.length },
        cure: { words: 'Take it out', put: '' },
      },
    ];
  }
  return [];
};

function same(one: string, other: string): boolean {
  return one.localeCompare(other.replace(/[.,]$/, ''), undefined, { sensitivity: 'base' }) === 0;
}
