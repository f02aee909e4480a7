import { describe, expect, it } from 'vitest';
import { inWords } from '../../problems/problem';
import { readPassage, readTemplate } from './readTemplate';
import { printTemplate } from './printTemplate';

const HEAD = '---\nname: A\ngroup: G\nstarts from: client\nsubject: S\n---\n';
const problems = (source: string) => readTemplate(source, 't.md').problems.map(inWords);
const body = (text: string) => {
  const { value, problems: wrong } = readTemplate(HEAD + text, 't.md');
  if (!value) throw new Error(wrong.map(inWords).join('\n'));
  return value.document.content;
};
const types = (text: string) => body(text).map((block) => block.type);

describe('the head', () => {
  it('reads every key', () => {
    const { value } = readTemplate(
      "---\nname: Visit\ngroup: Visits\nstarts from: booking\nsubject: '{{booking.service}} today'\nfrom: responsible\nreply to: '{{business.email}}'\ncopy: a@b.example\nblind copy: c@d.example\nattach: [invoice pdf, 'Price, list.pdf']\nsignature: none\nlanguage: de-DE\nnote: Often.\nresting: yes\nkind: text\nmine: yes\n---\nHello\n",
      't.md',
    );
    expect(value?.head).toMatchObject({
      name: 'Visit',
      startsFrom: 'booking',
      from: 'responsible',
      attach: ['invoice pdf', 'Price, list.pdf'],
      signature: 'none',
      language: 'de-DE',
      resting: true,
      kind: 'text',
      mine: true,
    });
    expect(value?.head.subject).toMatchObject([
      { type: 'field', attrs: { path: 'booking.service' } },
      { type: 'text', text: ' today' },
    ]);
  });

  it.each([
    ['Hello', 't.md:1:1: A template begins with a head between two lines “---”.'],
    ['---\nname: A\n', 't.md:1:1: The head that begins here is never closed with a line “---”.'],
    [HEAD.replace('name: A\n', ''), 't.md:1:1: The head needs “name”.'],
    [HEAD.replace('subject: S', 'subject:'), 't.md:5:1: The head needs “subject”.'],
    [HEAD.replace('group', 'gruop'), 't.md:3:1: The head has no key “gruop”. Did you mean “group”?'],
    [
      HEAD.replace('client', 'cliemt'),
      't.md:4:14: “starts from” is one of client, enquiry, project, booking, invoice, not “cliemt”. Did you mean “client”?',
    ],
    [
      HEAD.replace('S\n', '{{client.name}}\n'),
      "t.md:5:10: A value with tags stands in single quotes, as subject: '{{booking.service}}'.",
    ],
    [
      HEAD.replace('S\n', 'About {{client.name}}\n'),
      "t.md:5:16: A value with tags stands in single quotes, as subject: '{{booking.service}}'.",
    ],
    [
      HEAD.replace('S\n', "'it''s {{client.name | uper}}'\n"),
      't.md:5:33: There is no step “uper”. Did you mean “upper”?',
    ],
    [
      HEAD.replace('S\n', 'S\nlanguage: german!\n'),
      't.md:6:1: “german!” is no language; they are written as de or en-GB.',
    ],
    [
      HEAD.replace('S\n', 'S\nattach: bill.pdf\n'),
      't.md:6:1: “attach” is a list, as attach: [invoice pdf, Price list.pdf].',
    ],
    [HEAD.replace('S\n', 'S\nresting: perhaps\n'), 't.md:6:10: “resting” is one of yes, no, not “perhaps”.'],
    [HEAD.replace('S\n', 'S\n- x\n'), 't.md:6:1: The head cannot be read'],
  ])('%j', (source, message) => expect(problems(source).join('\n')).toContain(message));
});

describe('sections and conditions', () => {
  it('alone on their lines are blocks, even without blank lines around', () => {
    expect(types('before\n{{#a}}\ninside\n{{/a}}\nafter')).toEqual(['paragraph', 'section', 'paragraph']);
  });

  it('on one line are words', () => {
    expect(body('x {{#a}}y{{/a}} z')).toMatchObject([
      {
        type: 'paragraph',
        content: [{ text: 'x ' }, { type: 'section', content: [{ text: 'y' }] }, { text: ' z' }],
      },
    ]);
  });

  it('hold paragraphs, lists and other sections', () => {
    expect(body('{{#a}}\none\n\n- two\n{{#b}}\nthree\n{{/b}}\n{{/a}}')).toMatchObject([
      {
        type: 'section',
        content: [{ type: 'paragraph' }, { type: 'bulletList' }, { type: 'section', attrs: { path: 'b' } }],
      },
    ]);
  });

  it('around list items are part of the list', () => {
    expect(body('- one\n{{#a}}\n- two\n{{/a}}\n- three')).toMatchObject([
      {
        type: 'bulletList',
        content: [
          { type: 'listItem' },
          { type: 'section', content: [{ type: 'listItem' }] },
          { type: 'listItem' },
        ],
      },
    ]);
  });

  it('keep an ordered list and its numbers', () => {
    expect(body('3. one\n{{#when a}}\n4. two\n{{otherwise}}\n5. three\n{{/when}}')).toMatchObject([
      {
        type: 'orderedList',
        attrs: { start: 3 },
        content: [{ type: 'listItem' }, { type: 'when', content: [{}, { content: [{ type: 'listItem' }] }] }],
      },
    ]);
  });

  it('do not join lists of another marker', () => {
    expect(types('- one\n{{#a}}\n* two\n{{/a}}')).toEqual(['bulletList', 'bulletList']);
  });

  it('around table rows are part of the table', () => {
    const [table] = body('| A | B |\n|---|--:|\n{{#a}}\n| {{x}} | y \\| z |\n{{/a}}\n| sum | 1 |\n');
    expect(table).toMatchObject({
      type: 'table',
      attrs: { align: [null, 'right'] },
      content: [
        { type: 'tableRow', attrs: { header: true } },
        { type: 'section', content: [{ type: 'tableRow', content: [{}, { content: [{ text: 'y | z' }] }] }] },
        { type: 'tableRow' },
      ],
    });
  });

  it('around a whole table stay around it', () => {
    expect(types('{{#when a}}\n| A |\n|---|\n| 1 |\n{{otherwise}}\nnone\n{{/when}}\nafter')).toEqual([
      'when',
      'paragraph',
    ]);
  });

  it.each([
    ['{{#a}}\ntext', 't.md:7:1: {{#a}} is never closed: {{/a}} is expected in the same paragraph or block.'],
    ['text {{/a}}', 't.md:7:6: {{/a}} closes nothing that was opened in the same paragraph or block.'],
    ['{{#a}} one\n\ntwo {{/a}}', 't.md:7:1: {{#a}} is never closed'],
    ['{{#a}}**x{{/a}}**', 't.md:7:1: {{#a}} is never closed'],
    ['- x {{#a}}\n- y {{/a}}', 't.md:7:5: {{#a}} is never closed'],
    ['{{otherwise}}', 't.md:7:1: {{otherwise}} stands outside any {{#when …}}'],
    [
      '{{#when a}}\n{{otherwise}}\n{{otherwise}}\n{{/when}}',
      't.md:9:1: This {{#when …}} has an {{otherwise}} already.',
    ],
    ['::: {.center}\ntext', 't.md:7:1: ::: {.center} is never closed: ::: is expected'],
    ['text {{client.name', 't.md:7:6: This {{ is never closed with }}.'],
    ['[x]{.lage}', 't.md:7:4: There is no style “.lage”'],
    ['![x](y){width=wide}', 't.md:7:8: The width of an image is a whole number up to 9999, not “wide”.'],
    ['[x]{.button}', 't.md:7:4: Only a link can be a button'],
    ['{{{client.name}}}', 't.md:7:3: There is no tag for unescaped values'],
  ])('%j: %s', (text, message) => expect(problems(HEAD + text).join('\n')).toContain(message));

  it('report all errors of one reading, in order', () => {
    const found = problems(`${HEAD}{{a | uper}}\n\n{{#b}}\n\n{{? C : monei}}\n`);
    expect(found.map((one) => one.slice(0, 8))).toEqual(['t.md:7:7', 't.md:9:1', 't.md:11:']);
  });
});

describe('Markdown around tags', () => {
  it('does not look into them', () => {
    expect(body('| {{a | or "x | y"}} |\n|---|\n')).toMatchObject([
      {
        type: 'table',
        content: [
          { content: [{ content: [{ type: 'field', attrs: { steps: [{ step: 'or', words: 'x | y' }] } }] }] },
        ],
      },
    ]);
    expect(body('{{a | or "*not* bold"}} and *{{b}}*')).toMatchObject([
      { content: [{ type: 'field' }, { text: ' and ' }, { type: 'field', marks: [{ type: 'italic' }] }] },
    ]);
    expect(body('[pay]({{invoice.pay_link}} "t"){.button}')).toMatchObject([
      {
        content: [
          {
            text: 'pay',
            marks: [{ type: 'link', attrs: { button: true, title: 't', address: [{ type: 'field' }] } }],
          },
        ],
      },
    ]);
  });

  it('shows raw HTML, literal braces and stray attributes as text', () => {
    expect(body('<b>x</b> \\{{y}} {.large}')).toMatchObject([
      { content: [{ text: '<b>x</b> {{y}} {.large}' }] },
    ]);
    expect(body('a ]{.large}')).toMatchObject([{ content: [{ text: 'a ]{.large}' }] }]);
  });

  it('cannot have a tag forged by a private character', () => {
    expect(body('{{a}} \u{100000} &#x100000; &#1048576;')).toMatchObject([
      { content: [{ type: 'field' }, { text: ' \u{100000} \u{100000} \u{100000}' }] },
    ]);
  });

  it('keeps lines that are indented as paragraphs, and fenced code as it is', () => {
    expect(types('    indented\n\n```\n{{#x}} *a*\n{{/x}}\n```')).toEqual(['paragraph', 'codeBlock']);
  });

  it('reads nested attributes and images', () => {
    expect(body('[a *b* [c]{.small}]{.large .madder}')).toMatchObject([
      {
        content: [
          { text: 'a ', marks: [{ attrs: { style: 'large' } }, { attrs: { style: 'madder' } }] },
          {
            text: 'b',
            marks: [{ attrs: { style: 'large' } }, { attrs: { style: 'madder' } }, { type: 'italic' }],
          },
          { text: ' ' },
          {
            text: 'c',
            marks: [
              { attrs: { style: 'small' } },
              { attrs: { style: 'large' } },
              { attrs: { style: 'madder' } },
            ],
          },
        ],
      },
    ]);
    expect(body('![A {{item.name}}](p.jpg){width=240 link={{business.website}}}')).toMatchObject([
      {
        content: [
          {
            type: 'image',
            attrs: {
              width: 240,
              description: [{ text: 'A ' }, { type: 'field' }],
              link: [{ attrs: { path: 'business.website' } }],
            },
          },
        ],
      },
    ]);
  });

  it('lets a comment amid a paragraph leave it whole', () => {
    expect(types('one\n{{! note }}\ntwo')).toEqual(['paragraph']);
    expect(types('one\n\n{{! note }}\n\ntwo')).toEqual(['paragraph', 'comment', 'paragraph']);
  });

  it('takes other line ends and a byte order mark', () => {
    expect(readTemplate(`\uFEFF${HEAD}x\n`.replaceAll('\n', '\r\n'), 't.md').problems).toEqual([]);
  });
});

describe('a passage', () => {
  it('is named by its head, else by its file', () => {
    expect(readPassage('---\nname: Before we come\n---\nText\n', 'a.md', 'a').value?.name).toBe(
      'Before we come',
    );
    expect(readPassage('Text\n', 'a.md', 'a').value?.name).toBe('a');
  });

  it('has no other key', () => {
    expect(readPassage('---\ngroup: X\n---\n', 'a.md', 'a').problems.map(inWords)).toEqual([
      'a.md:2:1: The head of a passage has a name and nothing else, not “group”.',
    ]);
  });
});

describe('a tag that cannot be read', () => {
  const read = (body: string) =>
    readTemplate(
      `---\nname: A\ngroup: G\nstarts from: invoice\nsubject: x\n---\n${body}`,
      't.md',
    ).problems.map(({ line, message }) => `${line}: ${message}`);

  it('does not make its partner one that closes nothing', () => {
    expect(read('{{#invoice.lines | frist 3}}\nx\n{{/invoice.lines}}')).toEqual([
      '7: There is no step “frist 3”.',
    ]);
    expect(read('{{#when invoice.total ovr 3}}\nx\n{{/when}}')).toHaveLength(1);
    expect(read('{{#invoice.lines}}\nx\n{{/invoice.lines | first 3}}')).toHaveLength(1);
  });

  it('is none that is too long', () => {
    expect(read(`{{client.name | or "${'x'.repeat(3000)}"}}`)).toEqual([
      '7: This tag is longer than 2000 characters.',
    ]);
  });
});

describe('the head', () => {
  const head = `name: A
group: G
starts from: project
subject: x
written to: partner
from: house
letterhead: none
fits when: project.status is "active" and project.value over £100
action: job finished, first
`;
  it('says whom, from whom, when and for which act, and is written as it is read', () => {
    const { value } = readTemplate(`---\n${head}---\nx\n`, 't.md');
    expect(value?.head).toMatchObject({ writtenTo: 'partner', from: 'house', letterhead: 'none' });
    expect(value?.head.action).toEqual({ act: 'job finished', first: true });
    expect(printTemplate(value!)).toBe(`---\n${head}---\nx\n`);
  });

  it('tells what is wrong with it at its place', () => {
    const text =
      '---\nname: A\ngroup: G\nstarts from: project\nsubject: x\nfits when: project.status os "a"\naction: job finishd\nwritten to: everyone\n---\nx';
    expect(
      readTemplate(text, 't.md').problems.map(({ line, column, message }) => `${line}:${column}: ${message}`),
    ).toEqual([
      expect.stringMatching(/^6:27: “os” is no comparison/),
      expect.stringMatching(/^7:1: “action” is one of .*Did you mean “job finished”\?$/),
      expect.stringMatching(/^8:13: “written to” is one of client, partner, member/),
    ]);
  });
});
