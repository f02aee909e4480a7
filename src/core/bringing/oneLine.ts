/** Words on one line, however many they stand on, and no longer than so many characters. */
export function oneLine(words: string, most = 200): string {
  return words
    .replace(/\s*[\r\n]+\s*/g, ' ')
    .trim()
    .slice(0, most);
}
