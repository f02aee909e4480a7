import { expect, it } from 'vitest';
import { foreignMarks } from './foreignMarks';

it.each([
  ['Dear [First Name],', [['[First Name]', 'First Name']]],
  [
    '[[name]] {{name}} {{{name}}} {name} ${name}',
    ['[[name]]', '{{name}}', '{{{name}}}', '{name}', '${name}'].map((one) => [one, 'name']),
  ],
  [
    '%name% %%name%% #name# ##name## $name$ @@name@@ *|name|*',
    ['%name%', '%%name%%', '#name#', '##name##', '$name$', '@@name@@', '*|name|*'].map((one) => [
      one,
      'name',
    ]),
  ],
  [
    '<name> <<First name>> «Vorname»',
    [
      ['<name>', 'name'],
      ['<<First name>>', 'First name'],
      ['«Vorname»', 'Vorname'],
    ],
  ],
  [
    'Hello CLIENT_NAME and FIRST_NAME_2.',
    [
      ['CLIENT_NAME', 'CLIENT_NAME'],
      ['FIRST_NAME_2', 'FIRST_NAME_2'],
    ],
  ],
  ['{{ client.first_name }}', [['{{ client.first_name }}', 'client.first_name']]],
  [
    '{{#if paid}}x{{/if}} {% for a in b %}',
    [
      ['{{#if paid}}', ''],
      ['{{/if}}', ''],
      ['{% for a in b %}', ''],
    ],
  ],
  ['at ____ on xxxx, TBC ???', ['____', 'xxxx', 'TBC', '???'].map((one) => [one, ''])],
] as const)('%s', (text, found) => {
  expect(foreignMarks(text).map(({ words, name }) => [words, name])).toEqual(found);
});

it('what it says where nothing is known', () => {
  expect(
    foreignMarks('{{ first_name | default: "there" }} [Name, fallback=friend] {first|you}'),
  ).toMatchObject([
    { name: 'first_name', otherwise: 'there' },
    { name: 'Name', otherwise: 'friend' },
    { name: 'first', otherwise: 'you' },
  ]);
});

it.each([
  '[sic] and [1] and [...]',
  '50% of 100%, #1 and #2, $5 and $6, a@b.example',
  'x < y > z, «bonjour», A_B, NATO, the U.S.A.',
  'C:\\files\\a_b, snake_case',
])('is none: %s', (text) => expect(foreignMarks(text)).toEqual([]));

it('is read in its length', () => {
  for (const hostile of ['{', '[', '[[', '%a ', '#a', '$a ', '<a ', '*|', '{{a|', '@@a', 'A_', '{%', '_'])
    expect(() => foreignMarks(hostile.repeat(100_000))).not.toThrow();
}, 20_000);
