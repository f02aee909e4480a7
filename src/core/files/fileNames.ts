import { isPaper } from '../template/papers';

const LONGEST_NAME = 100;

/**
 * A file's name as it is kept: without the path to it, and without what nobody sees in it. One that is too long keeps its ending.
 * Empty: nothing is left.
 */
export function fileName(given: string): string {
  const name = given
    .normalize('NFC')
    .replace(/^.*[/\\]/s, '')
    .replace(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]/gu, '')
    .replace(/\s+/g, ' ')
    .replace(/^[. ]+|[. ]+$/g, '');
  if (name.length <= LONGEST_NAME) return isPaper(name.toLowerCase()) ? `${name} (file)` : name;
  const ending = endingOf(name);
  const most = LONGEST_NAME - (ending ? ending.length + 1 : 0);
  return `${[...name].slice(0, most).join('').slice(0, most).trimEnd()}${ending ? `.${ending}` : ''}`;
}

/** "pdf" of "Price list.PDF"; empty where a name has none. */
export function endingOf(name: string): string {
  return /\.([\p{L}\p{N}]{1,10})$/u.exec(name)?.[1]?.toLowerCase() ?? '';
}

/** "Price list 2.pdf", for one that stands beside another. */
export function besideAnother(name: string, number: number): string {
  const ending = endingOf(name);
  const stem = ending ? name.slice(0, -ending.length - 1) : name;
  return `${stem} ${number}${ending ? `.${ending}` : ''}`;
}

/** A name that none of some files has, whatever its case: the one given, else one beside it. */
export function freeName(name: string, taken: readonly string[]): string {
  const names = new Set(taken.map((one) => one.toLowerCase()));
  let free = name;
  for (let number = 2; names.has(free.toLowerCase()); number++) free = besideAnother(name, number);
  return free;
}

/** A name that a file is given: its ending stays, for it says what the file is. */
export function renamed(given: string, before: string): string {
  const name = fileName(given);
  const ending = endingOf(before);
  return !name || !ending || endingOf(name) === ending ? name : fileName(`${name}.${ending}`);
}
