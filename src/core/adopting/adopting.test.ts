import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../fill/test/fillSample';
import { readPassages } from '../fill/paths/scope';
import { plainText } from '../recognise/plainText';
import { schemaOf } from '../records/schema';
import { printMarkdown } from '../template/text/printMarkdown';
import { printTemplate } from '../template/text/printTemplate';
import { adopt, type Meant } from './adopt';
import { fieldOfName } from './fieldOfName';
import { readForeignHtml } from './readForeignHtml';
import { readForeignMarkdown } from './readForeignMarkdown';

const context = { schema: schemaOf(SAMPLE), passages: readPassages([]) };

describe('a name’s field', () => {
  it.each([
    ['First Name', 'recipient.greeting_name'],
    ['FNAME', 'recipient.greeting_name'],
    ['clientFirstName', 'recipient.greeting_name'],
    ['client.first_name', 'recipient.greeting_name'],
    ['last_name', 'recipient.family_name'],
    ['CLIENT_NAME', 'recipient.full_name'],
    ['Vorname', 'recipient.greeting_name'],
    ['Client Email', 'client.email'],
    ['zip code', 'client.address.postcode'],
    ['your name', 'sender.full_name'],
    ['My first name', 'sender.given_name'],
    ['signature', 'signature'],
    ['Company Name', 'business.name'],
    ['studio phone', 'business.phone'],
    ['appointment date', 'booking.starts_at'],
    ['Termindatum', 'booking.starts_at'],
    ['end time', 'booking.end_time'],
    ['service', 'booking.service'],
    ['invoice no.', 'invoice.number'],
    ['Rechnungsnummer', 'invoice.number'],
    ['amount due', 'invoice.balance'],
    ['due date', 'invoice.due_on'],
    ['payment link', 'invoice.pay_link'],
    ['Today’s date', 'today'],
    // Ours, by path and by label; the business's own.
    ['booking.starts_at', 'booking.starts_at'],
    ['project hours booked', 'project.hours_booked'],
    ['our review page', 'links.review'],
  ])('%s is %s', (name, path) => {
    expect(fieldOfName(name, { greeted: false }, context)).toMatchObject({ path, sure: true });
  });

  it.each(['date', 'time', 'price', 'name', 'phone'])('%s may be of several: it is only proposed', (name) => {
    expect(fieldOfName(name, { greeted: false }, context)?.sure).toBe(false);
  });

  it('a real name between the marks is whoever the letter greets', () => {
    expect(fieldOfName('Ada', { greeted: true }, context)).toMatchObject({
      path: 'recipient.greeting_name',
      sure: true,
    });
    expect(fieldOfName('Marta de la Cruz', { greeted: false }, context)).toMatchObject({
      path: 'recipient.full_name',
      sure: false,
    });
    expect(fieldOfName('Deposit Amount', { greeted: false }, context)).toBeUndefined();
    expect(fieldOfName('Ada', { greeted: false }, context)).toBeUndefined();
  });
});

function adopted(text: string, meant?: ReadonlyMap<string, Meant>) {
  const { subject, document } = plainText(text);
  return adopt({ name: 'confirm [Name]', subject, document, besides: [] }, context, meant);
}

describe('a text', () => {
  const TEXT = 'Subject: [Service]\n\nHello [Name],\nit is [Date], [Date], for %deposit%.\n\n[Your Name]';

  it('what is sure is a field, what is not a gap, named once with what it may be', () => {
    const { template, names } = adopted(TEXT);
    expect(printTemplate(template)).toBe(`---
name: confirm name
group: Brought in
starts from: booking
subject: '{{booking.service}}'
---
Hello {{recipient.greeting_name}},\\
it is {{gap "Date"}}, {{gap "Date"}}, for {{gap "deposit"}}.

{{sender.full_name}}
`);
    expect(names.map(({ key, times, taken }) => [key, times, taken === 'gap'])).toEqual([
      ['service', 1, false],
      ['name, greeted', 1, false],
      ['date', 2, true],
      ['deposit', 1, true],
      ['your name', 1, false],
    ]);
    expect(names[2]!.proposed).toMatchObject({ path: 'booking.starts_at' });
  });

  it('what a name was said to mean holds for it from then on: a field, its own words, or a gap', () => {
    const meant = new Map<string, Meant>([
      ['date', { path: 'booking.starts_at', steps: [{ step: 'long date' }] }],
      ['deposit', 'words'],
      ['your name', 'gap'],
    ]);
    const words = printMarkdown(adopted(TEXT, meant).template.document);
    expect(words).toContain(
      'it is {{booking.starts_at | long date}}, {{booking.starts_at | long date}}, for %deposit%.',
    );
    expect(words).toContain('{{gap "Your Name"}}');
  });

  it('what was remembered and is no field any more is a gap', () => {
    const meant = new Map<string, Meant>([['deposit', { path: 'project.custom.gone', steps: [] }]]);
    expect(printMarkdown(adopted(TEXT, meant).template.document)).toContain('for {{gap "deposit"}}.');
  });

  it('starts from the record that leads to all it says; says its language; nothing stays another’s', () => {
    expect(adopted('Of [invoice number], [project name]').template.head.startsFrom).toBe('invoice');
    expect(adopted('[project name] for [client name]').template.head.startsFrom).toBe('project');
    expect(adopted('Hello [name]').template.head.startsFrom).toBe('client');
    expect(
      adopted(
        'Guten Tag [Name],\n\nwir freuen uns auf den Termin und bitten Sie, die Tür nicht zu schließen.',
      ).template.head,
    ).toMatchObject({ language: 'de' });
  });
});

describe('Markdown', () => {
  const read = (text: string) => {
    const { document, problems } = readForeignMarkdown(text, 'f.md');
    expect(problems).toEqual([]);
    return printMarkdown(adopt({ name: 'n', subject: [], document, besides: [] }, context).template.document);
  };

  it('keeps its looks around the placeholders; a link’s words are none', () => {
    expect(
      read('**{{first_name}}**, see [the page](https://x.example/{{invoice_id}}).\n\n- *|FNAME|*\n- __x__'),
    ).toBe(
      '**{{recipient.greeting_name}}**, see [the page](https://x.example/\\{{invoice_id}}).\n\n- {{recipient.greeting_name}}\n- **x**\n',
    );
  });
});

describe('HTML', () => {
  const read = (html: string) => printMarkdown(readForeignHtml(html).document);

  it.each([
    ['<p>One<br>two</p><p>three</p>', 'One\\\ntwo\n\nthree\n'],
    ['one<br><br>two', 'one\n\ntwo\n'],
    ['<div>a <b>b</b> <i>c</i></div><div>d</div>', 'a **b** *c*\n\nd\n'],
    ['<ul><li>a<ul><li>b</li></ul></li><li>c</ul>', '- a\n  - b\n- c\n'],
    ['<ol><li>a<li>b</ol>', '1. a\n2. b\n'],
    ['<table><tr><th>a<th>b<tr><td>1<td>2</table>', '| a | b |\n|---|---|\n| 1 | 2 |\n'],
    ['<table><tr><td><p>a</p><table><tr><td>b</td></tr></table></td></tr></table>', 'a\n\nb\n'],
    ['<h2>T</h2><blockquote>q</blockquote><hr>', '## T\n\n> q\n\n---\n'],
    ['<a href="https://x.example">w</a> <a href="javascript:alert(1)">x</a>', '[w](https://x.example) x\n'],
    ['<a href="{{pay_link}}">pay</a>', 'pay (\\{{pay_link}})\n'],
    ['<p>a</p><script>b</script><style>c</style><!-- d --><noscript>e</noscript>', 'a\n'],
    ['&lt;b&gt; &amp; &euro;', '\\<b> & €\n'],
    ['</p></table></ul>a<td>b</td><li>c', 'ab\n\n- c\n'],
  ])('%s', (html, words) => expect(read(html)).toBe(words));

  it('names its title and its pictures, but no picture that only counts', () => {
    expect(
      readForeignHtml(
        '<title>T &amp; t</title><img alt="Us" src="a.png"><img src="x" width="1"><img src="data:image/png;base64,AA">',
      ),
    ).toMatchObject({
      title: 'T & t',
      pictures: [
        { source: 'a.png', description: 'Us' },
        { source: 'data:image/png;base64,AA', description: '' },
      ],
    });
  });

  it('whatever is broken or nested without end is read', () => {
    for (const hostile of [
      '<div>',
      '<b>',
      '<ul><li>',
      '<table><tr><td>',
      '<a href=x>',
      '<',
      '&',
      '<blockquote>',
      '</p>',
      '<br>',
    ])
      expect(() => readForeignHtml(`${hostile.repeat(20_000)}words`)).not.toThrow();
  }, 30_000);
});
