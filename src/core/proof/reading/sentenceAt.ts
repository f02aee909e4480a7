const segmenters = new Map<string, Intl.Segmenter>();

/** The sentence of a line that a place is in, by a language's rules (UAX 29); a line break ends one, too. */
export function sentenceAt(text: string, at: number, locale: string): string {
  const from = text.lastIndexOf('\n', at - 1) + 1;
  const end = text.indexOf('\n', at);
  const line = text.slice(from, end < 0 ? undefined : end);
  let segmenter = segmenters.get(locale);
  if (!segmenter)
    segmenters.set(locale, (segmenter = new Intl.Segmenter(locale, { granularity: 'sentence' })));
  return (
    segmenter.segment(line).containing(Math.min(at - from, Math.max(0, line.length - 1)))?.segment ?? line
  );
}
