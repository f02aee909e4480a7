import { LineCounter, isMap, isScalar, isSeq, parseDocument, type Scalar } from 'yaml';
import { STARTING_POINTS } from '../../records/recordKind';
import type { Line } from '../../document/templateDocument';
import { didYouMean } from '../../problems/nearest';
import type { Place, PlaceFinder, Places, Problem } from '../../problems/problem';
import { WRITTEN_TO, type TemplateHead } from '../template';
import { ACTS } from '../acts';
import { lex, TagError } from '../tags/lexer';
import { readCondition } from '../tags/readCondition';
import type { Condition } from '../../document/step';
import { readLine } from '../text/readLine';

/** One key of the front matter: its value as written, with places. */
export interface FrontEntry {
  key: string;
  at: number;
  scalar?: Scalar;
  list?: Scalar[];
}

/** Reads YAML front matter to its entries; everything wrong with it is reported. Offsets count from `start`. */
export function readFrontEntries(
  yaml: string,
  start: number,
  lines: PlaceFinder,
  problems: Problem[],
): FrontEntry[] {
  const unquoted = findUnquotedTags(yaml);
  if (unquoted.length) {
    for (const at of unquoted) {
      const message = "A value with tags stands in single quotes, as subject: '{{booking.service}}'.";
      problems.push({ ...lines.place(start + at), message });
    }
    return [];
  }
  const document = parseDocument(yaml, {
    lineCounter: new LineCounter(),
    prettyErrors: false,
    schema: 'core',
  });
  for (const error of document.errors) {
    problems.push({
      ...lines.place(start + error.pos[0]),
      message: `The head cannot be read: ${error.message}`,
    });
  }
  if (document.errors.length || document.contents === null) return [];
  if (!isMap(document.contents)) {
    problems.push({
      ...lines.place(start),
      message: 'The head has a key and a value on each line, as “name: Visit tomorrow”.',
    });
    return [];
  }
  return document.contents.items.flatMap((pair): FrontEntry[] => {
    if (!isScalar(pair.key)) {
      problems.push({ ...lines.place(start), message: 'A key of the head is plain words.' });
      return [];
    }
    const at = start + (pair.key.range?.[0] ?? 0);
    const key = String(pair.key.value);
    if (isSeq(pair.value)) {
      const list = pair.value.items.filter((item) => isScalar(item)) as Scalar[];
      if (list.length === pair.value.items.length) return [{ key, at, list }];
    } else if (isScalar(pair.value)) return [{ key, at, scalar: pair.value }];
    else if (pair.value === null) return [{ key, at }];
    problems.push({ ...lines.place(at), message: `“${key}” takes a text or a list of texts.` });
    return [];
  });
}

/** Offsets of `{{` in values that are not quoted. */
function findUnquotedTags(yaml: string): number[] {
  const found: number[] = [];
  let offset = 0;
  for (const row of yaml.split('\n')) {
    const value = /^(?:\s*-\s+|\s*[^:'"#]+:\s+)(?!['"|>#])(.*)$/.exec(row);
    const tag = value?.[1]!.indexOf('{{') ?? -1;
    if (tag >= 0) found.push(offset + row.length - value![1]!.length + tag);
    offset += row.length + 1;
  }
  return found;
}

const REQUIRED = ['name', 'group', 'starts from', 'subject'] as const;
const OPTIONAL = [
  'written to',
  'from',
  'reply to',
  'copy',
  'blind copy',
  'attach',
  'signature',
  'letterhead',
  'fits when',
  'action',
  'language',
  'note',
  'resting',
  'kind',
  'mine',
] as const;

/**
 * Reads a template's head. What is missing or wrong is reported; undefined when it does not say what the template
 * starts from, without which nothing in it can be judged.
 */
export function readHead(
  entries: readonly FrontEntry[],
  context: { start: number; yaml: string; lines: PlaceFinder; places: Places; problems: Problem[] },
): TemplateHead | undefined {
  const { start, yaml, lines, places, problems } = context;
  const report = (place: Place, message: string) => problems.push({ ...place, message });
  const known = new Map<string, FrontEntry>();
  for (const entry of entries) {
    if (![...REQUIRED, ...OPTIONAL].some((key) => key === entry.key)) {
      const near = didYouMean(entry.key, [...REQUIRED, ...OPTIONAL]);
      report(lines.place(entry.at), `The head has no key “${entry.key}”.${near}`);
    } else known.set(entry.key, entry);
  }
  for (const key of REQUIRED) {
    if (!known.get(key) || textOf(known.get(key)!).trim() === '') {
      const place = known.get(key) ? lines.place(known.get(key)!.at) : lines.place(0);
      report(place, `The head needs “${key}”.`);
    }
  }
  const text = (key: string) => (known.has(key) ? textOf(known.get(key)!).trim() || undefined : undefined);
  const line = (key: string) => (known.has(key) ? lineOf(known.get(key)!) : undefined);
  const oneOf = <T extends string>(key: string, choices: readonly T[]): T | undefined => {
    const value = text(key);
    if (value === undefined || (choices as readonly string[]).includes(value)) return value as T;
    const entry = known.get(key)!;
    report(
      lines.place(start + (entry.scalar?.range?.[0] ?? 0)),
      `“${key}” is one of ${choices.join(', ')}, not “${value}”.${didYouMean(value, choices)}`,
    );
    return undefined;
  };
  const startsFrom = oneOf('starts from', STARTING_POINTS);
  if (!startsFrom) return undefined;
  const language = text('language');
  if (language && !isLanguage(language)) {
    report(
      lines.place(known.get('language')!.at),
      `“${language}” is no language; they are written as de or en-GB.`,
    );
  }
  const head: TemplateHead = {
    name: text('name') ?? '',
    group: text('group') ?? '',
    startsFrom,
    subject: line('subject') ?? [],
    writtenTo: oneOf('written to', WRITTEN_TO),
    from: oneOf('from', ['writer', 'responsible', 'house']),
    replyTo: line('reply to'),
    copy: line('copy'),
    blindCopy: line('blind copy'),
    attach: attachOf(known.get('attach')),
    signature: text('signature'),
    letterhead: oneOf('letterhead', ['yes', 'none']) === 'none' ? 'none' : undefined,
    fitsWhen: conditionOf(known.get('fits when')),
    action: actionOf(text('action'), known.get('action')),
    language,
    note: text('note'),
    resting: oneOf('resting', ['yes', 'no']) === 'yes' || undefined,
    kind: oneOf('kind', ['letter', 'text']),
    mine: oneOf('mine', ['yes', 'no']) === 'yes' || undefined,
  };
  for (const [key, value] of Object.entries(head)) {
    if (value === undefined) delete (head as unknown as Record<string, unknown>)[key];
  }
  return head;

  function lineOf(entry: FrontEntry): Line {
    return readLine(textOf(entry), placesIn(entry), places, problems);
  }

  /** A condition as in an only-when, over what the template starts from. */
  function conditionOf(entry: FrontEntry | undefined): Condition | undefined {
    const source = entry && textOf(entry);
    if (!source?.trim()) return undefined;
    const at = placesIn(entry!);
    try {
      const condition = readCondition(lex(source), source.length, { steps: true });
      places.set(condition, at.place(0));
      return condition;
    } catch (error) {
      if (!(error instanceof TagError)) throw error;
      report(at.place(error.at), error.message);
      return undefined;
    }
  }

  /** "invoice sent", or "invoice sent, first". */
  function actionOf(source: string | undefined, entry: FrontEntry | undefined): TemplateHead['action'] {
    if (source === undefined) return undefined;
    const [, words = source, first] = /^(.*?)\s*(,\s*first)?$/.exec(source) ?? [];
    const act = ACTS.find((one) => one === words);
    if (act) return { act, first: first !== undefined };
    report(
      lines.place(entry!.at),
      `“action” is one of ${ACTS.join(', ')}, not “${words}”.${didYouMean(words, ACTS)}`,
    );
    return undefined;
  }

  function attachOf(entry: FrontEntry | undefined): string[] | undefined {
    if (!entry) return undefined;
    if (!entry.list) {
      report(lines.place(entry.at), '“attach” is a list, as attach: [invoice pdf, Price list.pdf].');
      return undefined;
    }
    return entry.list.map((item) => String(item.value));
  }

  /** Offsets in a quoted value: a doubled quote counts once. */
  function placesIn(entry: FrontEntry): PlaceFinder {
    const from = entry.scalar?.range?.[0] ?? 0;
    const quoted = yaml[from] === "'";
    return {
      place(offset) {
        let at = from + (quoted || yaml[from] === '"' ? 1 : 0);
        for (let left = offset; left > 0; left--) at += quoted && yaml.startsWith("''", at) ? 2 : 1;
        return lines.place(start + at);
      },
    };
  }
}

function textOf(entry: FrontEntry): string {
  const value = entry.scalar?.value;
  if (value === undefined || value === null) return '';
  // A number or date as its writer wrote it.
  return typeof value === 'string' ? value : (entry.scalar?.source ?? String(value));
}

function isLanguage(tag: string): boolean {
  try {
    return /^[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*$/.test(tag) && Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}
