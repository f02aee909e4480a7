import { describe, expect, it } from 'vitest';
import { readTemplate } from '../template/text/readTemplate';
import { fillSample, problemsOf } from './test/fillSample';

// The rules of the text form, one after another. The body of a sample begins on line 7.

type More = NonNullable<Parameters<typeof fillSample>[1]>;
const says = (body: string, more: More = {}) => fillSample(body, more).text.trim();
const html = (body: string, more: More = {}) =>
  fillSample(body, more).html.replace(/ (?:style|cellpadding|cellspacing|border|align)="[^"]*"/g, '');
const problems = (body: string, more: More = {}) => problemsOf(body, more).join('\n');

describe('front matter', () => {
  const read = (head: string) => readTemplate(`---\n${head}\n---\nx\n`, 't.md');
  const FULL = "name: T\ngroup: G\nstarts from: invoice\nsubject: '{{invoice.number}}'";

  it('has name, group, starts from and subject; the others are optional', () => {
    expect(read(FULL).value?.head).toMatchObject({ name: 'T', group: 'G', startsFrom: 'invoice' });
    const more = `${FULL}\nfrom: responsible\nreply to: '{{business.email}}'\ncopy: a@x.example\nblind copy: b@x.example\nattach: [invoice pdf, plan.pdf]\nsignature: House\nlanguage: de\nnote: N\nresting: yes\nkind: text\nmine: yes`;
    expect(read(more).value?.head).toMatchObject({
      from: 'responsible',
      attach: ['invoice pdf', 'plan.pdf'],
      signature: 'House',
      language: 'de',
      note: 'N',
      resting: true,
      kind: 'text',
      mine: true,
    });
  });

  it.each([
    ['anything else is an error', `${FULL}\ncolour: red`, '“colour”'],
    ['what is needed is asked for', 'name: T', 'starts from'],
    [
      'an unquoted {{ gets a message that says so',
      'name: T\ngroup: G\nstarts from: invoice\nsubject: {{invoice.number}}',
      'single quotes',
    ],
    ['a starting point is one of five', FULL.replace('invoice', 'bill'), 'starts from'],
    ['a value has its kind', `${FULL}\nresting: perhaps`, 'resting'],
  ])('%s', (_, head, message) => {
    const { value, problems: found } = read(head);
    expect(value).toBeUndefined();
    expect(found.map((one) => one.message).join('\n')).toContain(message);
  });
});

describe('beyond CommonMark', () => {
  it('attributes on words, images, blocks and links', () => {
    const body =
      '[a word]{.large .madder .underline} ![A view](v.png){width=240 link=https://x.example}\n\n::: {.center}\n[Pay](https://pay.example){.button}\n:::\n';
    const filled = fillSample(body).html;
    expect(filled).toContain('font-size:1.3em');
    expect(filled).toContain('<u>');
    expect(filled).toMatch(/<a href="https:\/\/x\.example"><img src="v\.png" alt="A view" width="240"/);
    expect(filled).toMatch(
      /<div style="text-align:center"><p[^>]*><a href="https:\/\/pay\.example" style="[^"]*background-color/,
    );
  });

  it('an unknown style, size or colour is an error', () => {
    expect(problems('[x]{.huge}')).toContain('huge');
    expect(problems('::: {.left}\nx\n:::')).toContain('left');
    expect(problems('::: {.center}\nx\n')).not.toBe('');
  });

  it('ordered lists keep their first number, lists nest, tables align', () => {
    expect(html('3. a\n4. b\n   - c\n')).toBe('<ol start="3"><li>a</li><li>b<ul><li>c</li></ul></li></ol>');
    expect(says('| a | b |\n|:--|--:|\n| x | 10 |\n| long | 5 |\n')).toBe('a      b\nx     10\nlong   5');
  });
});

describe('fields', () => {
  it('quoted text may hold | and }}, a quote in it is \\"', () => {
    expect(says('{{client.mobile | or "a | b }} \\"c\\""}}')).toBe('a | b }} "c"');
  });

  it('there is no unescaped variant', () => {
    expect(problems('{{{client.name}}}')).toContain('escaped');
    expect(problems('{{&client.name}}')).toContain('escaped');
    expect(problems('{{=<% %>=}}')).not.toBe('');
  });

  it('inherited names are no paths', () => {
    for (const path of [
      'constructor',
      'client.constructor',
      'client.__proto__.name',
      'client.custom.toString',
      'toString',
      'business.links.valueOf',
    ]) {
      expect(problems(`{{${path}}}`), path).not.toBe('');
    }
  });

  it('a literal {{ is written \\{{, in code, too', () => {
    expect(says('\\{{client.name}} and `\\{{x}}`')).toBe('{{client.name}} and {{x}}');
  });
});

describe('sections', () => {
  it('over a list repeat, names are looked up in the item first, then outward; {{.}} is the item', () => {
    expect(says('{{#invoice.lines}}{{description}} of {{client.name}}; {{/invoice.lines}}')).toBe(
      'Regulation of Oda Hartigan; Felt & <glue> of Oda Hartigan;',
    );
    expect(says('{{#client.tags}}{{.}}, {{/client.tags}}')).toBe('school, regular,');
  });

  it('take steps in the opening tag, and the closing tag names the path alone', () => {
    expect(
      says('{{#client.unpaid_invoices | by due_on down | first 1}}{{number}}{{/client.unpaid_invoices}}'),
    ).toBe('K-102');
    expect(problems('{{#client.unpaid_invoices | first 1}}x{{/client.unpaid_invoices | first 1}}')).not.toBe(
      '',
    );
  });

  it('over a yes/no, a record, another value; inverted for nothing', () => {
    expect(
      says(
        '{{#invoice.is_overdue}}late{{/invoice.is_overdue}}{{^invoice.is_paid}}, open{{/invoice.is_paid}}',
      ),
    ).toBe('late, open');
    expect(
      says(
        '{{#invoice.project}}{{title}}{{/invoice.project}} {{#client.phone}}{{.}}{{/client.phone}}{{^client.mobile}} none{{/client.mobile}}',
      ),
    ).toBe('restoration 01632 960101 none');
    expect(says('{{#invoice.days_until_due}}{{.}}{{/invoice.days_until_due}}')).toBe('-27');
  });

  it('tags alone on a line leave no blank line behind; fields do', () => {
    expect(says('a\n\n{{#invoice.is_paid}}\nx\n{{/invoice.is_paid}}\n\nb')).toBe('a\n\nb');
    expect(says('a\n{{! gone }}\nb')).toBe('a\nb');
    expect(says('a\n\n{{client.name}}\n\nb')).toBe('a\n\nOda Hartigan\n\nb');
  });

  it('whose tags stand alone are blocks and may surround paragraphs, items or rows; otherwise they are inline', () => {
    expect(html('- a\n{{#invoice.lines}}\n- {{description}}\n{{/invoice.lines}}\n')).toBe(
      '<ul><li>a</li><li>Regulation</li><li>Felt &amp; &lt;glue&gt;</li></ul>',
    );
    expect(says('| a |\n|---|\n{{#invoice.lines}}\n| {{description}} |\n{{/invoice.lines}}\n| z |')).toBe(
      'a\nRegulation\nFelt & <glue>\nz',
    );
    expect(html('x {{#invoice.is_overdue}}*y*{{/invoice.is_overdue}} z')).toBe('<p>x <em>y</em> z</p>');
  });

  it('that cross block structure are an error, and unclosed ones', () => {
    expect(problems('a {{#invoice.is_overdue}}b\n\nc{{/invoice.is_overdue}}')).not.toBe('');
    expect(problems('{{#invoice.is_overdue}}\nx')).toContain('t.md:7:1');
    expect(problems('x {{/invoice.is_overdue}}')).not.toBe('');
  });
});

describe('only when', () => {
  const when = (condition: string, more: More = {}) =>
    says(`{{#when ${condition}}}yes{{otherwise}}no{{/when}}`, more);

  it.each([
    ['invoice.days_overdue at least 14 and invoice.is_overdue', 'yes'],
    ['invoice.is_paid or invoice.paid over £600', 'no'],
    ['invoice.paid is £600', 'yes'],
    ['invoice.paid is 600', 'yes'],
    ['invoice.paid under 600.01 and invoice.paid at most 600.00', 'yes'],
    ['invoice.due_on before today and today after 2026-02-28', 'yes'],
    ['invoice.due_on at least 2026-02-03 and invoice.due_on at most 2026-02-03', 'yes'],
    ['booking.starts_at is 2026-03-03', 'yes'],
    ['client.name is "oda hartigan"', 'no'],
    ['client.name contains "HART"', 'yes'],
    ['client.tags contains "school"', 'yes'],
    ['client.tags contains "sch"', 'no'],
    ['client.mobile is set', 'no'],
    ['client.mobile is not set', 'yes'],
    ['client.mobile is "x"', 'no'],
    ['client.mobile is not "x"', 'yes'],
    ['invoice.is_overdue is yes', 'yes'],
    ['invoice.total is invoice.paid', 'no'],
    ['invoice.lines | count over 1', 'yes'],
    ['invoice.due_on | plus 1 month after today', 'yes'],
  ])('%s', (condition, answer) =>
    expect(when(condition, { from: condition.includes('booking') ? 'booking:b1' : 'invoice:K-101' })).toBe(
      answer,
    ),
  );

  it('“and” and “or” do not stand in one condition', () => {
    expect(
      problems('{{#when invoice.is_paid and invoice.is_overdue or invoice.is_paid}}x{{/when}}'),
    ).not.toBe('');
  });

  it.each([
    'client.name over 3',
    'invoice.total before today',
    'invoice.is_paid over 1',
    'client.name',
    'invoice.total is "x"',
    'client is "x"',
  ])('%s does not fit its type', (condition) =>
    expect(problems(`{{#when ${condition}}}x{{/when}}`)).not.toBe(''),
  );

  it('a blank on the right is written ? "Name"', () => {
    const body = '{{? Limit : money = 500}} {{#when invoice.balance over ? "Limit"}}over{{/when}}';
    expect(says(body)).toBe('£500.00 over');
    expect(says(body, { answers: { Limit: 70_000 } })).toBe('£700.00');
    expect(problems('{{#when invoice.balance over ? "Nothing"}}x{{/when}}')).toContain('Nothing');
  });
});

describe('passages', () => {
  it('may contain passages and see the item they stand in', () => {
    const passages = { Line: '{{description}}{{> End}}', End: '!' };
    expect(says('{{#invoice.lines}}{{> Line}} {{/invoice.lines}}', { passages })).toBe(
      'Regulation! Felt & <glue>!',
    );
  });

  it('in a circle name the circle, unknown ones the nearest', () => {
    expect(problems('{{> A}}', { passages: { A: '{{> B}}', B: '{{> A}}' } })).toContain('A → B → A');
    expect(problems('{{> How to pai}}', { passages: { 'How to pay': 'x' } })).toContain('How to pay');
  });
});

describe('blanks', () => {
  it('are defined once, anywhere; the first : or = ends the name', () => {
    expect(says('{{? Rate}} and {{? Rate : money = 65.00 | whole money}}')).toBe('£65.00 and £65');
    expect(says('{{? Time = 9:30}}')).toBe('9:30');
    expect(says('{{? Size : choice of "a: b" "c" = a: b}}')).toBe('a: b');
  });

  it.each([
    ['two different definitions', '{{? A : money}} {{? A : date}}'],
    ['an unknown type', '{{? A : colour}}'],
    ['a default that does not fit', '{{? A : date = soon}}'],
    ['a choice without answers', '{{? A : choice}}'],
    ['a default that is no choice', '{{? A : choice of "x" = y}}'],
    ['no name', '{{? }}'],
    ['a step that does not fit', '{{? A : date | whole money}}'],
  ])('%s: an error', (_, body) => expect(problems(body)).not.toBe(''));

  it('of every type are written as their type', () => {
    const body =
      '{{? T = a}} {{? L : long text = b}} {{? N : number = 1234.5}} {{? M : money = 65}} {{? D : date = 2026-03-31}} {{? Y : yes/no = no}} {{? C : choice of "p" "q" = q}}';
    expect(says(body)).toBe('a b 1,234.5 £65.00 31 March 2026 no q');
  });
});

describe('gaps, unfinished parts, signature, comments', () => {
  it('gaps and unfinished parts fill as their text and are holes', () => {
    const { text, holes } = fillSample('{{gap "the day"}} {{unfinished "12 Harbour Road"}}{{! c }}');
    expect(text.trim()).toBe('the day 12 Harbour Road');
    expect(holes.map(({ kind, label }) => [kind, label])).toEqual([
      ['gap', 'the day'],
      ['unfinished', '12 Harbour Road'],
    ]);
  });
});

describe('reading', () => {
  it('reports all errors at once, each with file, line, column and what was expected', () => {
    const found = problemsOf(
      '{{client.nmae}}\n\n{{invoice.total | uper}} {{> Nowhere}}\n\n{{#invoice.lines}}\n',
    );
    expect(found).toHaveLength(4);
    expect(found[0]).toMatch(/^t\.md:7:1: .*client\.name/);
    expect(found[1]).toMatch(/^t\.md:9:\d+: .*upper/);
    for (const one of found) expect(one).toMatch(/^t\.md:\d+:\d+: .+[.?]$/);
  });

  it('a path is judged by the list of fields, not by one client’s records', () => {
    expect(problems('{{client.preferred_name}} {{project.location.region}}')).toBe('');
  });

  it('a record that the starting point cannot lead to is an error', () => {
    expect(problems('{{enquiry.service}}')).toContain('enquiry');
  });
});

describe('filling', () => {
  it('values never make markup, a tag, a list or a row', () => {
    const business = { name: '*a* {{b}} | - <i> [x](https://y.example)' };
    expect(html('{{business.name}}', { business })).toBe(
      '<p>*a* {{b}} | - &lt;i&gt; [x](https://y.example)</p>',
    );
  });

  it('raw HTML in the file is shown as text', () => {
    expect(html('<b>x</b> &amp; <br>')).toBe('<p>&lt;b&gt;x&lt;/b&gt; &amp; &lt;br&gt;</p>');
  });

  it('a value’s line break is <br> in HTML, a break in text, a space in a subject or header', () => {
    const filled = fillSample('{{client.notes}}', {
      subject: '{{client.notes}}',
      head: "reply to: '{{client.notes}} <office@larkfield.example>'\n",
    });
    expect(filled.html).toContain('First line<br>second &lt;line&gt;');
    expect(filled.text).toBe('First line\nsecond <line>\n');
    expect([filled.subject, filled.replyTo]).toEqual([
      'First line second <line>',
      '"First line second <line>" <office@larkfield.example>',
    ]);
  });

  it.each(['javascript:alert(1)', 'data:text/html,x', 'ftp://x.example', '//x.example', 'vbscript:x'])(
    'links keep no %s',
    (address) => {
      expect(fillSample(`[x](${address})`).html).not.toContain('href');
    },
  );

  it.each(['https://x.example', 'http://x.example', 'mailto:a@x.example', 'tel:+441632960101'])(
    'links keep %s',
    (address) => {
      expect(fillSample(`[x](${address})`).html).toContain(`href="${address}"`);
    },
  );

  it('a missing fact is a hole whose text is the path with spaces, without custom', () => {
    const { text, holes } = fillSample(
      '{{client.preferred_name}} {{#client.items}}{{custom.maker}} {{/client.items}}{{? Hourly rate : money}}',
    );
    expect(text.trim()).toBe('[client preferred name] Tesslund [maker] [Hourly rate]');
    expect(holes.map(({ path, line }) => [path, line])).toEqual([
      ['client.preferred_name', 7],
      ['custom.maker', 7],
      ['Hourly rate', 7],
    ]);
  });

  it('sections, conditions and branches not taken make no holes', () => {
    const body =
      '{{#client.mobile}}{{client.mobile}}{{/client.mobile}}{{#when invoice.is_paid}}{{client.mobile}}{{otherwise}}x{{/when}}{{^invoice.lines}}{{client.mobile}}{{/invoice.lines}}';
    expect(fillSample(body).holes).toEqual([]);
  });

  it('a link in the words of a link stays words, also a button and a picture’s', () => {
    const link =
      '[Pay {{invoice.pay_link | as "here"}} ![A view](v.png){link=https://y.example}](https://x.example)';
    expect(html(link)).toBe('<p><a href="https://x.example">Pay here <img src="v.png" alt="A view"></a></p>');
    expect(html('[{{invoice.pay_link | button "Pay"}}](https://x.example)')).not.toContain('pay.example');
    expect(html('[Pay]({{invoice.pay_link}})')).toContain(
      '<a href="https://pay.example/k-101?a=1&amp;b=2">Pay</a>',
    );
  });

  it('a block in which everything turned out empty is left out', () => {
    const body = '::: {.center}\n{{#client.files}}{{.}}{{/client.files}}\n:::\n\nx';
    expect(html(body)).toBe('<p>x</p>');
    expect(says(body)).toBe('x');
  });

  it('plain text drops marks, writes links as words (address), keeps - and 1., aligns cells two spaces apart, wraps nothing', () => {
    const long = 'word '.repeat(60).trim();
    const body = `# Head\n\n**bold** [here](https://x.example/a) ${long}\n\n- a\n- b\n\n1. c\n\n> q`;
    expect(says(body)).toBe(`Head\n\nbold here (https://x.example/a) ${long}\n\n- a\n- b\n\n1. c\n\n> q`);
  });
});

describe('limits', () => {
  it('1 MB of words is filled', () => {
    expect(says(`${'word and '.repeat(120_000)}end`).length).toBeGreaterThan(1_000_000);
  });

  it('10,000 tags are filled', () => {
    expect(says('{{invoice.number}} '.repeat(10_000)).length).toBe(59_999);
  });

  it('200 levels of sections are filled, and more are refused with a reason', () => {
    const nested = (depth: number) =>
      `${'{{#client}}\n\n'.repeat(depth)}x\n\n${'{{/client}}\n\n'.repeat(depth)}`;
    expect(says(nested(200))).toBe('x');
    const marks = (depth: number) => `${'> '.repeat(depth)}x`;
    expect(problems(marks(300))).toContain('More than 40 quotations and lists begin on this line.');
  });
});
