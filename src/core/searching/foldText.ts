const ASIDE = /[\u0300-\u036f'’‘`´]/g;
const UNPARTED: Readonly<Record<string, string>> = { ß: 'ss', æ: 'ae', œ: 'oe', ø: 'o', đ: 'd', ł: 'l' };

/**
 * A text as it is looked for: without case, accents and apostrophes (Unicode's canonical decomposition, NFD, with its
 * marks left out), so that “uberholung” is “Überholung” and “oconnell” is “O’Connell”.
 */
export function foldText(text: string): string {
  return text
    .normalize('NFD')
    .replace(ASIDE, '')
    .toLowerCase()
    .replace(/[ßæœøđł]/g, (letter) => UNPARTED[letter]!);
}
