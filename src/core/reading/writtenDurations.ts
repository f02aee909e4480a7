/** How long something takes, as it is written. */
export interface WrittenDuration {
  from: number;
  to: number;
  minutes: number;
}

const SMALL = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'];
const KLEIN = ['null', 'eine', 'zwei', 'drei', 'vier', 'fünf', 'sechs', 'sieben', 'acht'];
const TENS: Readonly<Record<string, number>> = {
  thirty: 30,
  forty: 40,
  'forty-five': 45,
  sixty: 60,
  ninety: 90,
  dreißig: 30,
  fünfundvierzig: 45,
  neunzig: 90,
};
const NUMBER = `\\d{1,3}(?:[.,]\\d{1,2})?|an?|${SMALL.slice(1).join('|')}|${KLEIN.slice(1).join('|')}`;

const DURATIONS = new RegExp(
  `(?<![\\p{L}\\d.,])(?:(?<hours>${NUMBER})\\s(?:hours?|Stunden?|heures?)(?!\\p{L})(?:\\s(?:and\\s|und\\s|et\\s)?(?:(?<minutes>\\d{1,2})\\s(?:minutes?|Minuten?)(?!\\p{L})|(?<half>a half)))?|(?<only>\\d{2,3}|${Object.keys(TENS).join('|')})\\s(?:minutes?|Minuten?)(?!\\p{L})|(?<mixed>${NUMBER}) and a half hours|(?<halfAnHour>half an hour)|(?<anderthalb>anderthalb Stunden))`,
  'giu',
);

/** The durations in a text: “2 hours 30 minutes”, “90 minutes”, “an hour and a half”, “1.5 hours”. */
export function writtenDurations(text: string): WrittenDuration[] {
  return [...text.matchAll(DURATIONS)].map((match) => {
    const g = match.groups!;
    const minutes = g.only
      ? (TENS[g.only.toLowerCase()] ?? Number(g.only))
      : g.halfAnHour
        ? 30
        : g.anderthalb
          ? 90
          : g.mixed
            ? numberOf(g.mixed) * 60 + 30
            : numberOf(g.hours!) * 60 + Number(g.minutes ?? 0) + (g.half ? 30 : 0);
    return { from: match.index, to: match.index + match[0].length, minutes };
  });
}

function numberOf(words: string): number {
  const word = words.toLowerCase();
  if (/\d/.test(word)) return Number(word.replace(',', '.'));
  return /^an?$/.test(word) ? 1 : Math.max(SMALL.indexOf(word), KLEIN.indexOf(word));
}
