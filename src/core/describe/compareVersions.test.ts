import { expect, it } from 'vitest';
import { labelsOf } from '../fill/describe/labels';
import { schemaOf } from '../records/schema';
import type { Template } from '../template/template';
import { readTemplate } from '../template/text/readTemplate';
import { SAMPLE } from '../fill/test/fillSample';
import { changedHead, compareVersions } from './compareVersions';

function template(body: string, head = ''): Template {
  const { value } = readTemplate(
    `---\nname: T\ngroup: G\nstarts from: invoice\nsubject: 'About {{invoice.number}}'\n${head}---\n${body}`,
    't',
  );
  return value!;
}

function compared(before: string, after: string): string {
  const [a, b] = [template(before), template(after)];
  const context = { schema: schemaOf(SAMPLE), passages: new Map() };
  const labels = { ...labelsOf(a, context), ...labelsOf(b, context) };
  const passages = [{ key: 'how-to-pay', name: 'How to pay' }];
  return compareVersions(a, b, { labels, passages })
    .map(({ change, tokens }) => {
      const words = tokens.map(({ type, words: one }) => (type === 'field' ? `‹${one}›` : one)).join('');
      return change === 'same' ? words : change === 'went' ? `[-${words}-]` : `[+${words}+]`;
    })
    .join('');
}

it('words, facts and lines that went and came', () => {
  expect(
    compared(
      'Hello {{client.name}},\n\nplease pay soon.\n',
      'Hello {{recipient.greeting_name}},\n\nplease pay today.\n\nThanks!\n',
    ),
  ).toBe(
    'Subject: About ‹number›\nHello [-‹client, name›-][+‹greeting name›+],\nplease pay [-soon.-][+today.+]\n[+Thanks!\n+]',
  );
});

it('the same is the same', () => {
  const body = '- a\n- {{invoice.total}}\n\n| x | y |\n| --- | --- |\n| 1 | 2 |\n\n{{signature}}\n';
  expect(compared(body, body)).toBe('Subject: About ‹number›\n• a\n• ‹total›\nx | y\n1 | 2\n‹signature›\n');
});

it('what text depends on is said before it, in words', () => {
  expect(
    compared(
      '{{#when invoice.is_paid}}\nThank you.\n{{otherwise}}\nPlease pay.\n{{/when}}\n',
      '{{#when invoice.is_overdue}}\nThank you.\n{{/when}}\n\n{{> how-to-pay}}\n',
    ),
  ).toBe(
    'Subject: About ‹number›\n[-Only when is paid -][+Only when is overdue +]\nThank you.\n' +
      '[-Otherwise -][+‹How to pay›+]\n[-Please pay.\n-]',
  );
});

it('a picture is told by its words, and is another where another is shown', () => {
  const picture = (source: string) => `![The lark](${source})\n`;
  const [one, other] = ['a'.repeat(64), 'b'.repeat(64)];
  expect(compared(picture(one), picture(one))).toBe('Subject: About ‹number›\n‹picture “The lark”›\n');
  expect(compared(picture(one), picture(other))).toContain(
    '[-‹picture “The lark”›-][+‹picture “The lark”›+]',
  );
  expect(compared('![]({{business.logo}})\n', 'x\n')).toContain('‹picture “business, logo”›');
});

it('a link is followed by where it leads', () => {
  expect(compared('[here](https://a.example)\n', '[here](https://b.example)\n')).toContain(
    'here[-(https://a.example) -][+(https://b.example) +]',
  );
});

it('the head in words', () => {
  const [before, after] = [
    template('x\n', 'note: for regulars\n'),
    template('x\n', 'resting: yes\nattach: [a.pdf]\n'),
  ];
  expect(changedHead(before.head, after.head)).toEqual([
    { what: 'goes along', was: '', is: 'a.pdf' },
    { what: 'note', was: 'for regulars', is: '' },
    { what: 'resting', was: '', is: 'yes' },
  ]);
});
