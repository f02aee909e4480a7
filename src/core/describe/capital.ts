/** Words as they begin a line or a heading. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
