import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { labelsOf } from '../../core/fill/describe/labels';
import { schemaOf } from '../../core/records/schema';
import { readPassage, readTemplate } from '../../core/template/text/readTemplate';
import { PencilLetter } from './PencilLetter';

/** Draws a body that starts from an invoice; `words` is what a reader sees. */
function draw(body: string, subject = 'S') {
  const source = `---\nname: T\ngroup: G\nstarts from: invoice\nsubject: '${subject}'\n---\n${body}`;
  const template = readTemplate(source, 't.md').value!;
  const passage = readPassage('Pay by {{invoice.due_on}}.\n', 'p.md', 'How to pay').value!;
  const passages = new Map([['How to pay', { passage, places: new WeakMap() }]]);
  const context = {
    schema: schemaOf({
      business: { links: [{ key: 'review', name: 'our page', address: 'https://x.example' }] },
    }),
    passages,
  };
  const labels = { ...labelsOf(template, context), '{{invoice.due_on}}': 'due date' };
  const html = renderToStaticMarkup(<PencilLetter template={{ ...template, passages: [passage], labels }} />);
  const letter = html.slice(html.indexOf('letter-body'));
  const words = letter
    .replace(/^[^>]*>/, '')
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { html: letter, words: words.replaceAll('&quot;', '"') };
}

describe('a template in pencil', () => {
  it.each([
    ['{{invoice.number}}', 'number'],
    ['{{invoice.due_on | plus 2 working days | long date}}', 'due date, plus 2 working days, long date'],
    ['{{client.name | upper}}', 'client, name, in capitals'],
    ['{{recipient.greeting_name}}', 'greeting name'],
    ['{{business.email}}', 'business, email'],
    ['{{links.review}}', 'our page'],
    ['{{client.mobile | or "on request"}}', 'client, mobile, or “on request”'],
    [
      '{{client.invoices | where balance over £50 and is_overdue | by due_on down | sum balance}}',
      'client, invoices, where balance is over £50 and is overdue, by due date, down, sum of balance',
    ],
    ['{{? Hourly rate : money = 65 | whole money}}', 'Hourly rate, whole money'],
    ['{{gap "the price"}}', 'the price'],
    ['{{signature}}', 'Signature of whoever writes'],
    ['{{! hidden }}x', 'x'],
  ])('shows %s as “%s”', (tag, label) => expect(draw(tag).words).toBe(`Subject: S ${label}`));

  it.each([
    ['{{#invoice.lines}}\n- {{description}}\n{{/invoice.lines}}', 'For each of lines description'],
    ['{{#invoice.is_overdue}}\nlate\n{{/invoice.is_overdue}}', 'Only when is overdue late'],
    ['{{^invoice.is_paid}}\nopen\n{{/invoice.is_paid}}', 'Only when is not paid open'],
    ['{{#when invoice.is_paid is no}}\nopen\n{{/when}}', 'Only when is not paid open'],
    ['{{#when invoice.is_paid is not no}}\nthanks\n{{/when}}', 'Only when is paid thanks'],
    ['{{#when booking.is_past is yes}}\nthanks\n{{/when}}', 'Only when booking, is past thanks'],
    ['{{^client.enquiries}}\nnone\n{{/client.enquiries}}', 'Only when there is no client, enquiries none'],
    ['{{#client.mobile}}\n{{.}}\n{{/client.mobile}}', 'Only when client, mobile is set it'],
    [
      '{{#when invoice.days_overdue at least 14 and client.kind is "person"}}\na\n{{otherwise}}\nb\n{{/when}}',
      'Only when days overdue is at least 14 and client, kind is “person” a Otherwise b',
    ],
    [
      '{{#when invoice.due_on before today or invoice.balance over 100}}\na\n{{/when}}',
      'Only when due date is before today or balance is over £100 a',
    ],
    [
      'x {{#when client.mobile is not set}}y{{otherwise}}z{{/when}}',
      'x Only when client, mobile is not set: y otherwise: z',
    ],
    ['{{> How to pay}}', 'How to pay · passage Pay by due date .'],
  ])('says what text depends on: %j', (body, expected) =>
    expect(draw(body).words).toBe(`Subject: S ${expected}`),
  );

  it('draws tables with their repeated rows', () => {
    const { html, words } = draw(
      '| What | Sum |\n|---|--:|\n{{#invoice.lines}}\n| {{description}} | {{amount}} |\n{{/invoice.lines}}',
    );
    expect(words).toBe('Subject: S What Sum For each of lines description amount');
    expect(html).toContain('<th scope="col" class="column-right">Sum</th>');
  });

  it('draws marks, and follows no link', () => {
    const { html } = draw(
      '**bold** *italic* [pay](https://x.example){.button} [large]{.large .madder}\n\n::: {.center}\n> quoted\n:::\n\n# Head\n\n---\n\n1. one',
    );
    for (const part of [
      '<strong>bold</strong>',
      '<em>italic</em>',
      'letter-button',
      'style-large',
      'style-madder',
      'style-center',
      '<blockquote>',
      'letter-heading-1',
      '<hr/>',
      '<ol start="1">',
    ]) {
      expect(html).toContain(part);
    }
    expect(html).not.toContain('href=');
  });

  it('keeps what a template says from being markup', () => {
    const { html } = draw('<script>alert(1)</script> {{gap "<b>x</b>"}}', '<i>{{invoice.number}}</i>');
    expect(html).not.toMatch(/<(?:script|b|i)>/);
  });
});
