import { parseArgs } from 'node:util';
import { readMoment } from '../../src/core/dates/zone';
import { isStartingKind, STARTING_POINTS, type StartingKind } from '../../src/core/records/recordKind';
import { didYouMean } from '../../src/core/problems/nearest';

const FORMS = ['text', 'html', 'eml', 'json'] as const;

export interface FillArguments {
  template: string;
  records: string;
  from: { kind: StartingKind; key: string };
  passages?: string;
  member?: string;
  to: string[];
  answers: [name: string, answer: string][];
  /** milliseconds since 1970 */
  now: number;
  as: (typeof FORMS)[number];
}

const OPTIONS = {
  template: { type: 'string' },
  records: { type: 'string' },
  from: { type: 'string' },
  passages: { type: 'string' },
  member: { type: 'string' },
  to: { type: 'string', multiple: true },
  answer: { type: 'string', multiple: true },
  now: { type: 'string' },
  as: { type: 'string' },
} as const;

export const USAGE =
  'fill --template FILE.md --records RECORDS.json --from invoice:KEY [--passages DIR] [--member KEY]\n' +
  '     [--to CONTACT-KEY] [--answer "Hourly rate=70"] [--now 2026-03-02T09:00:00Z] [--as text|html|eml|json]';

/** Reads the command's arguments; all that is wrong with them is said at once. */
export function readArguments(argv: string[]): FillArguments | string[] {
  const wrong: string[] = [];
  const names = Object.keys(OPTIONS);
  const { values, tokens } = parseArgs({
    args: argv,
    options: OPTIONS,
    strict: false,
    allowPositionals: true,
    tokens: true,
  });
  for (const token of tokens ?? []) {
    if (token.kind === 'positional') wrong.push(`“${token.value}” is not expected.`);
    else if (token.kind === 'option' && !names.includes(token.name)) {
      wrong.push(`There is no flag “${token.rawName}”.${didYouMean(token.name, names, '--')}`);
    } else if (token.kind === 'option' && typeof token.value !== 'string') {
      wrong.push(`“${token.rawName}” needs a value.`);
    }
  }
  const text = (name: keyof typeof OPTIONS) => {
    const value = values[name];
    return typeof value === 'string' && value !== '' ? value : undefined;
  };
  const many = (name: 'to' | 'answer') =>
    ((values[name] as unknown[]) ?? []).filter((one) => typeof one === 'string') as string[];
  for (const name of ['template', 'records', 'from'] as const) {
    if (text(name) === undefined && !wrong.some((one) => one.includes(`“--${name}”`)))
      wrong.push(`“--${name}” is missing.`);
  }
  const from = startingPoint(text('from'), wrong);
  const as = text('as') ?? 'text';
  if (!(FORMS as readonly string[]).includes(as))
    wrong.push(`“--as” is one of ${FORMS.join(', ')}, not “${as}”.${didYouMean(as, FORMS)}`);
  const now = text('now') === undefined ? Date.now() : readMoment(text('now')!);
  if (now === undefined) wrong.push(`“--now” is a moment as 2026-03-02T09:00:00Z, not “${text('now')}”.`);
  const answers = many('answer').map((answer): [string, string] => {
    const equals = answer.indexOf('=');
    if (equals < 1) wrong.push(`“--answer” is written as "Name of the blank=answer", not “${answer}”.`);
    return [answer.slice(0, Math.max(equals, 0)).trim(), answer.slice(equals + 1)];
  });
  if (wrong.length || !from || now === undefined) return wrong;
  const optional = { passages: text('passages'), member: text('member') };
  return {
    template: text('template')!,
    records: text('records')!,
    from,
    ...(Object.fromEntries(Object.entries(optional).filter(([, value]) => value)) as typeof optional),
    to: many('to'),
    answers,
    now,
    as: as as FillArguments['as'],
  };
}

function startingPoint(text: string | undefined, wrong: string[]): FillArguments['from'] | undefined {
  if (text === undefined) return undefined;
  const colon = text.indexOf(':');
  const kind = text.slice(0, Math.max(colon, 0));
  if (colon > 0 && isStartingKind(kind) && text.length > colon + 1)
    return { kind, key: text.slice(colon + 1) };
  const near = didYouMean(kind || text, STARTING_POINTS);
  wrong.push(`“--from” is a record as invoice:KEY, of ${STARTING_POINTS.join(', ')}, not “${text}”.${near}`);
  return undefined;
}
