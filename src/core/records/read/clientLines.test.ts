import { expect, it } from 'vitest';
import { kindOfName } from '../../people/kindOfName';
import { readClientLines } from './clientLines';

it('one a line, the parts in any order', () => {
  expect(
    readClientLines(
      'Ada Reyes, ada@reyes.example, 01632 960100\n\n Reyes, Tom <tom@reyes.example>\r\n+44 7700 900123; Saltby School\t',
    ),
  ).toEqual([
    {
      line: 1,
      client: { name: 'Ada Reyes', kind: 'person', email: 'ada@reyes.example', phone: '01632 960100' },
    },
    { line: 3, client: { name: 'Reyes, Tom', kind: 'person', email: 'tom@reyes.example' } },
    { line: 4, client: { name: 'Saltby School', kind: 'organisation', phone: '+44 7700 900123' } },
  ]);
});

it('what is wrong is told at its line', () => {
  const problems = readClientLines(
    'ada@reyes.example\nAda, a@b@c\nAda, a@x.example, b@x.example\nAda, 01632 960100, 01632 960101',
  ).map(({ line, problem }) => `${line} ${problem}`);
  expect(problems).toEqual([
    '1 There is no name in it.',
    '2 a@b@c is no email address.',
    '3 There are two email addresses in it: a client begins with one.',
    '4 There are two numbers in it: a client begins with one.',
  ]);
});

it('people, couples and organisations', () => {
  expect(
    ['Ada Reyes', 'Ada & Tom Reyes', 'The Reyes family', 'Quay Studio Ltd', 'Marsh & Sons'].map(kindOfName),
  ).toEqual(['person', 'household', 'household', 'organisation', 'organisation']);
});
