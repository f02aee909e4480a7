import { parseArgs, type ParseArgsConfig } from 'node:util';
import { readMoment } from '../../src/core/dates/zone';
import { didYouMean } from '../../src/core/problems/nearest';
import { isStartingKind, STARTING_POINTS, type StartingKind } from '../../src/core/records/recordKind';

type Options = NonNullable<ParseArgsConfig['options']>;

/** A record as it is named on the command line: `invoice:KEY`. */
export interface NamedStart {
  kind: StartingKind;
  key: string;
}

/** The flags of a command, as they were given; what is wrong with them is gathered in `wrong`. */
export interface Flags<Name extends string> {
  wrong: string[];
  /** undefined: not given, or empty */
  text(name: Name): string | undefined;
  many(name: Name): string[];
  /** what stands there without a flag */
  others: string[];
}

/**
 * Reads flags that all take a value; what is not known, and what is needed and not there, is said.
 * @param others whether words without a flag are expected
 */
export function readFlags<O extends Options>(
  argv: string[],
  options: O,
  needed: readonly (keyof O & string)[],
  others = false,
): Flags<keyof O & string> {
  const wrong: string[] = [];
  const names = Object.keys(options);
  const { values, tokens, positionals } = parseArgs({
    args: argv,
    options: options as Options,
    strict: false,
    allowPositionals: true,
    tokens: true,
  });
  for (const token of tokens ?? []) {
    if (token.kind === 'positional' && !others) wrong.push(`“${token.value}” is not expected.`);
    else if (token.kind === 'option' && !names.includes(token.name)) {
      wrong.push(`There is no flag “${token.rawName}”.${didYouMean(token.name, names, '--')}`);
    } else if (token.kind === 'option' && typeof token.value !== 'string') {
      wrong.push(`“${token.rawName}” needs a value.`);
    }
  }
  const text = (name: string) => {
    const value = values[name];
    return typeof value === 'string' && value !== '' ? value : undefined;
  };
  for (const name of needed) {
    if (text(name) === undefined && !wrong.some((one) => one.includes(`“--${name}”`)))
      wrong.push(`“--${name}” is missing.`);
  }
  return {
    wrong,
    text,
    many: (name) =>
      ((values[name] as unknown[] | undefined) ?? []).filter((one): one is string => typeof one === 'string'),
    others: positionals,
  };
}

/** The record of `--from`; undefined, and said in `wrong`, where it is none. */
export function startIn({ text, wrong }: Flags<'from'>): NamedStart | undefined {
  const from = text('from');
  if (from === undefined) return undefined;
  const colon = from.indexOf(':');
  const kind = from.slice(0, Math.max(colon, 0));
  if (colon > 0 && isStartingKind(kind) && from.length > colon + 1)
    return { kind, key: from.slice(colon + 1) };
  const near = didYouMean(kind || from, STARTING_POINTS);
  wrong.push(`“--from” is a record as invoice:KEY, of ${STARTING_POINTS.join(', ')}, not “${from}”.${near}`);
  return undefined;
}

/** The moment of `--now` in milliseconds, the machine’s clock without it. */
export function nowIn({ text, wrong }: Flags<'now'>): number {
  const given = text('now');
  const now = given === undefined ? Date.now() : readMoment(given);
  if (now !== undefined) return now;
  wrong.push(`“--now” is a moment as 2026-03-02T09:00:00Z, not “${given}”.`);
  return 0;
}

/** The form of `--as`, one of those there are, the first by default. */
export function formIn<Form extends string>({ text, wrong }: Flags<'as'>, forms: readonly Form[]): Form {
  const as = text('as') ?? forms[0]!;
  if (!(forms as readonly string[]).includes(as))
    wrong.push(`“--as” is one of ${forms.join(', ')}, not “${as}”.${didYouMean(as, forms)}`);
  return as as Form;
}
