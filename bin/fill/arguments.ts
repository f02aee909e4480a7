import { formIn, nowIn, readFlags, startIn, type NamedStart } from '../command/flags';

const FORMS = ['text', 'html', 'eml', 'json'] as const;

export interface FillArguments {
  template: string;
  records: string;
  from: NamedStart;
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
  const flags = readFlags(argv, OPTIONS, ['template', 'records', 'from']);
  const { wrong, text, many } = flags;
  const from = startIn(flags);
  const as = formIn(flags, FORMS);
  const now = nowIn(flags);
  const answers = many('answer').map((answer): [string, string] => {
    const equals = answer.indexOf('=');
    if (equals < 1) wrong.push(`“--answer” is written as "Name of the blank=answer", not “${answer}”.`);
    return [answer.slice(0, Math.max(equals, 0)).trim(), answer.slice(equals + 1)];
  });
  if (wrong.length || !from) return wrong;
  const optional = { passages: text('passages'), member: text('member') };
  return {
    template: text('template')!,
    records: text('records')!,
    from,
    ...(Object.fromEntries(Object.entries(optional).filter(([, value]) => value)) as typeof optional),
    to: many('to'),
    answers,
    now,
    as,
  };
}
