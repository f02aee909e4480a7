import fc from 'fast-check';
import { CATALOGUE } from '../../records/catalogue/catalogue';
import type { FieldType } from '../../records/fieldType';
import type { RecordKind, StartingKind } from '../../records/recordKind';
import { LEADS_TO } from '../../records/which/situation';

/** Steps that fit each kind of value, with some that lead to another kind. */
const STEPS: Readonly<Partial<Record<FieldType['kind'], readonly string[]>>> = {
  text: ['upper', 'lower', 'title', 'sentence', 'initials'],
  'long text': ['sentence', 'upper'],
  date: [
    'long date',
    'short date',
    'weekday',
    'day and month',
    'month',
    'from now',
    'iso',
    'plus 3 working days | weekday',
    'minus 1 month',
    'start of month | long date',
    'next weekday',
    'next Friday | iso',
  ],
  moment: [
    'date',
    'time',
    'date and time',
    'plus 90 minutes | time',
    'plus 2 weeks | long date',
    'end of month',
    'from now',
    'iso',
  ],
  money: ['whole money', 'share 50%', 'plus 20% | whole money', 'minus 2.5%', 'plain number'],
  number: ['words', 'percent'],
  percent: ['number'],
  duration: ['hours'],
  phone: ['international'],
  address: ['lines', 'town', 'one line'],
  link: ['as "here"', 'button "there"'],
  image: ['width 120'],
  'yes/no': ['as "so" "not so"'],
};

/** A field of a record with the way to it: `client.name`. */
interface Found {
  path: string;
  type: FieldType;
}

/** Every field that a letter from this starting point can name within so many steps of the way. */
function fieldsFrom(start: StartingKind, depth = 2): Found[] {
  const roots: [string, RecordKind][] = [
    ['business', 'business'],
    ['sender', 'member'],
    ['recipient', 'recipient'],
    ...LEADS_TO[start].map((kind): [string, RecordKind] => [kind, kind]),
  ];
  return [
    { path: 'today', type: { kind: 'date' } as FieldType },
    { path: 'now', type: { kind: 'moment' } as FieldType },
    ...roots.flatMap(([name, kind]) => fieldsOf(kind, `${name}.`, depth)),
  ];
}

function fieldsOf(kind: RecordKind, prefix: string, depth: number): Found[] {
  return [...CATALOGUE[kind].values()].flatMap(({ key, type }): Found[] => {
    const path = prefix + key;
    if (type.kind === 'record') return depth > 1 ? fieldsOf(type.record, `${path}.`, depth - 1) : [];
    return [{ path, type }];
  });
}

/** A field as a tag, with steps that fit it. */
function fieldTag({ path, type }: Found): fc.Arbitrary<string> {
  if (type.kind === 'collection') return collectionTag(path, type.of);
  const steps = STEPS[type.kind] ?? [];
  const step = fc.constantFrom('', '', ...steps.map((one) => ` | ${one}`));
  const or = fc.constantFrom('', '', ' | or "none"');
  return fc.tuple(step, or).map(([first, last]) => `{{${path}${first}${last}}}`);
}

function collectionTag(path: string, of: FieldType): fc.Arbitrary<string> {
  const record = of.kind === 'record' ? of.record : undefined;
  const own = record ? fieldsOf(record, '', 1) : [];
  const simple = own.filter(({ type }) => type.kind !== 'collection');
  const sums = simple.filter(({ type }) => type.kind === 'money' || type.kind === 'number');
  const shape = fc.constantFrom(
    '',
    ' | first 2',
    ' | last 1',
    ...(simple[0] ? [` | by ${simple[0].path} down`] : []),
  );
  const end = fc.constantFrom(
    'joined',
    'joined or',
    'count',
    'count | words',
    ...(sums[0] ? [`sum ${sums[0].path}`] : []),
  );
  const listed = fc.tuple(shape, end).map(([first, last]) => `{{${path}${first} | ${last}}}`);
  const item = simple.length ? fc.constantFrom(...simple).chain(fieldTag) : fc.constant('{{.}}');
  const section = fc
    .tuple(shape, item)
    .map(([first, inner]) => `{{#${path}${first}}}${of.kind === 'record' ? inner : '{{.}}'} {{/${path}}}`);
  return fc.oneof(listed, section);
}

/** The body of a template that reads: fields, sections, conditions, tables, lists and blanks in any order. */
export function bodies(start: StartingKind): fc.Arbitrary<string> {
  const fields = fieldsFrom(start);
  const tag = fc.constantFrom(...fields).chain(fieldTag);
  const words = fc
    .array(
      fc.oneof(
        fc.constantFrom(
          'and',
          '*so*',
          '**it**',
          'a < b & "c"',
          '{{signature}}',
          '{{gap "more"}}',
          '{{? Note : long text = none}}',
          '{{? Sum : money = 5}}',
        ),
        tag,
      ),
      { minLength: 1, maxLength: 5 },
    )
    .map((all) => all.join(' '));
  const yesNo = fields.filter(({ type }) => type.kind === 'yes/no').map(({ path }) => path);
  const condition = fc.oneof(
    fc.constantFrom(...fields).map(({ path }) => `${path} is set`),
    ...(yesNo.length ? [fc.constantFrom(...yesNo)] : []),
    fc.constantFrom('today before 2026-06-01 and now after 2020-01-01', 'business.website contains "a"'),
  );
  const block = fc.oneof(
    { weight: 4, arbitrary: words },
    fc.array(words, { minLength: 1, maxLength: 3 }).map((all) => all.map((one) => `- ${one}`).join('\n')),
    fc.tuple(words, words).map(([a, b]) => `| ${a.replaceAll('|', '|')} | B |\n|:--|--:|\n| x | ${b} |`),
    fc
      .tuple(condition, words, words)
      .map(([when, a, b]) => `{{#when ${when}}}\n${a}\n{{otherwise}}\n${b}\n{{/when}}`),
    words.map((one) => `> ${one}`),
    words.map((one) => `# ${one}`),
    words.map((one) => `::: {.center .large}\n${one}\n:::`),
    words.map((one) => `[${one}](https://x.example/{{business.name}}){.button}`),
  );
  return fc.array(block, { minLength: 1, maxLength: 6 }).map((all) => `${all.join('\n\n')}\n`);
}
