/** A time of day as it is written. */
export interface WrittenTime {
  from: number;
  to: number;
  /** minutes from midnight, all that it can mean: “half past two” is in the night or in the afternoon */
  minutes: readonly number[];
}

const HALF_DAY = 720;

const HOURS: Readonly<Record<string, readonly string[]>> = {
  en: ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'],
  de: ['eins', 'zwei', 'drei', 'vier', 'fünf', 'sechs', 'sieben', 'acht', 'neun', 'zehn', 'elf', 'zwölf'],
};
const EN = HOURS.en!.join('|');
const DE = HOURS.de!.join('|');

const TIMES = new RegExp(
  [
    // 09:30, 9.30, 9.30 am, 9h30
    '(?<hour>\\d{1,2})(?<mark>[:.]|\\s?h\\s?)(?<minute>\\d{2})(?!\\d|[.,:/]\\d)(?:\\s?(?<half>[ap])(?:\\.m\\.|m\\b))?',
    // 9 am, 9 o’clock, 9 Uhr 30
    "(?<bare>\\d{1,2})\\s?(?:(?<bareHalf>[ap])(?:\\.m\\.|m\\b)|o[’']clock\\b|(?<uhr>\\sUhr)(?:\\s(?<past>\\d{2})(?!\\d))?)",
    // half past nine, quarter to ten
    `(?<part>half|(?:a )?quarter)\\s(?<side>past|to)\\s(?<spoken>${EN}|\\d{1,2})\\b`,
    `(?<clock>${EN})\\s(?:o[’\']clock\\b|(?<clockHalf>[ap])(?:\\.m\\.|m\\b))`,
    // halb zehn, and what is half past eleven in Britain
    `halb\\s(?<halb>${DE})(?!\\p{L})`,
    `half\\s(?<halfOf>${EN})(?!\\p{L})`,
    // the first of 10–11.30
    '(?<first>\\d{1,2})(?=\\s?[-–]\\s?\\d{1,2}[:.]\\d{2}(?!\\d))',
    '(?<noon>noon|midday)\\b',
    // at ten, until 11
    `(?<=(?<!\\p{L})(?:at|until|till|from|um|bis|gegen|ab)\\s)(?<said>${EN}|${DE}|\\d{1,2})(?![\\p{L}\\d.,:/-]*\\d)(?=\\s*(?:[.,;!?)–]|and\\b|to\\b|until\\b|on\\b|Uhr|$|\\n)|\\s\\p{Ll}+(?:s|t)\\s)`,
  ]
    .map((one) => `(?:${one})`)
    .join('|'),
  'giu',
);

/** What stands before the end of a range: “10-”, “9:30–”. */
const RANGE = /(?<![\d.:/-])\d{1,2}(?:[:.]\d{2})?\s?[-–]$/;

/** The times of day in a text, in figures and in the words of English and German. */
export function writtenTimes(text: string): WrittenTime[] {
  return [...text.matchAll(TIMES)].flatMap((match): WrittenTime[] => {
    const before = text.slice(Math.max(0, match.index - 8), match.index);
    if (/[\p{L}\d.,:/£$€-]$/u.test(before) && !RANGE.test(before)) return [];
    const minutes = minutesOf(match.groups!);
    if (!minutes.every((one) => one >= 0 && one < 2 * HALF_DAY)) return [];
    // “Uhr” stays behind a time that is written in figures.
    const uhr = match.groups!.uhr && match.groups!.past === undefined ? match.groups!.uhr.length : 0;
    return [{ from: match.index, to: match.index + match[0].length - uhr, minutes }];
  });
}

function minutesOf(g: Record<string, string | undefined>): number[] {
  if (g.noon) return [HALF_DAY];
  if (g.said) return eitherHalf(hourOf(g.said) * 60);
  if (g.hour) {
    const at = Number(g.hour) * 60 + Number(g.minute);
    if (Number(g.minute) > 59) return [-1];
    return g.half ? [inHalf(at, g.half)] : g.mark === '.' && Number(g.hour) < 8 ? [at, at + HALF_DAY] : [at];
  }
  if (g.bare) {
    const at = Number(g.bare) * 60 + Number(g.past ?? 0);
    return g.bareHalf ? [inHalf(at, g.bareHalf)] : eitherHalf(at);
  }
  if (g.first) return eitherHalf(Number(g.first) * 60);
  if (g.halfOf) return eitherHalf(hourOf(g.halfOf) * 60 + 30);
  if (g.halb) return eitherHalf((HOURS.de!.indexOf(g.halb.toLowerCase()) + 1) * 60 - 30);
  if (g.clock) {
    const at = hourOf(g.clock) * 60;
    return g.clockHalf ? [inHalf(at, g.clockHalf)] : eitherHalf(at);
  }
  const part = /half/i.test(g.part!) ? 30 : 15;
  return eitherHalf(hourOf(g.spoken!) * 60 + (g.side!.toLowerCase() === 'past' ? part : -part));
}

function hourOf(words: string): number {
  if (/\d/.test(words)) return Number(words);
  const word = words.toLowerCase();
  return Math.max(HOURS.en!.indexOf(word), HOURS.de!.indexOf(word)) + 1;
}

function inHalf(minutes: number, half: string): number {
  const at = minutes % HALF_DAY;
  return half.toLowerCase() === 'p' ? at + HALF_DAY : at;
}

function eitherHalf(minutes: number): number[] {
  return minutes < HALF_DAY ? [minutes, minutes + HALF_DAY] : [minutes, minutes % HALF_DAY];
}
