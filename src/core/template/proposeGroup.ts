import { foldText } from '../searching/foldText';

/** The six ink tints that a group's initial may have. */
export const TINTS = ['madder', 'ochre', 'moss', 'verdigris', 'iris', 'slate'] as const;
export type Tint = (typeof TINTS)[number];

/** What tells a group from the others at a glance. */
export interface GroupLook {
  initial: string;
  tint: Tint;
}

/**
 * A look for a new group that none of the others has: the first letter of its name, else its first with another one of it;
 * the tint that is used least. "Money" beside "Meetings" (M) is "Mo".
 */
export function proposeGroup(name: string, others: readonly { initial: string; tint: string }[]): GroupLook {
  const taken = new Set(others.map(({ initial }) => foldText(initial)));
  const letters = [...name].filter((letter) => /[\p{L}\p{N}]/u.test(letter));
  const [first = '–', ...rest] = letters;
  const initials = [first.toUpperCase(), ...rest.map((letter) => first.toUpperCase() + letter.toLowerCase())];
  const used = (tint: Tint) => others.filter((other) => other.tint === tint).length;
  return {
    initial: initials.find((initial) => !taken.has(foldText(initial))) ?? initials[0]!,
    tint: TINTS.reduce((least, tint) => (used(tint) < used(least) ? tint : least)),
  };
}
