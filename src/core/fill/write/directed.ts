import { directionOf } from '../formats/direction';

const written = new Map<string, boolean>();

/** A letter's HTML with the direction it is read in, where that is from right to left. */
export function directed(html: string, language: string): string {
  let reversed = written.get(language);
  if (reversed === undefined) written.set(language, (reversed = directionOf(language) === 'rtl'));
  return reversed ? `<div dir="rtl">${html}</div>` : html;
}
