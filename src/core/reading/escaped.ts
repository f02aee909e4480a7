/** Words as a pattern that finds them and nothing else. */
export function escaped(words: string): string {
  return words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
