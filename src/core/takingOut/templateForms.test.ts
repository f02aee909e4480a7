import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { printTemplate } from '../template/text/printTemplate';
import { readTemplate } from '../template/text/readTemplate';
import { printTemplateJson, readTemplateJson } from './templateJson';
import { templatePage, textFormOfPage } from './templatePage';

const FOLDER = 'src/data/demonstration/templates';
const demonstration = readdirSync(FOLDER).map((file) => ({
  file,
  template: readTemplate(readFileSync(`${FOLDER}/${file}`, 'utf8'), file).value!,
}));

const HARD = `---
name: "</script><!-- it's & \\"so\\""
group: none
starts from: invoice
subject: '{{invoice.number}} {{? Which one : choice of "a" "b"}}'
fits when: invoice.days_overdue over 3
---
{{! not said </script> }}
a \\{{b}} {{#when client.is_company}}x{{otherwise}}y{{/when}}

{{#invoice.lines}}
- {{description}}
{{/invoice.lines}}

| a | b |
| --- | --- |
{{#invoice.lines | first 3}}
| {{description}} | **{{amount}}** |
{{/invoice.lines}}

[pay]({{invoice.pay_link}}){.button} ![us](logo.png){width=20}

{{> Ways to pay}}
`;
const all = [...demonstration, { file: 'hard', template: readTemplate(HARD, 'hard').value! }];

describe('a template comes in as it went out', () => {
  it('there are some', () => expect(demonstration.length).toBeGreaterThan(20));

  it.each(all)('$file: as JSON, and as a page', ({ template }) => {
    const json = readTemplateJson(printTemplateJson(template), 'x');
    expect(json.problems).toEqual([]);
    expect(json.value).toEqual(template);
    const page = templatePage(template, () => undefined);
    expect(textFormOfPage(page)).toBe(printTemplate(template));
    expect(textFormOfPage(page.replaceAll('\n', '\r\n'))).toBe(printTemplate(template));
  });
});

describe('the page of a template', () => {
  const page = templatePage(all.at(-1)!.template, (source) => (source === 'logo.png' ? 'data:x' : undefined));

  it('shows its words with its tags, and runs nothing', () => {
    const body = page.slice(page.indexOf('<body>'));
    for (const words of [
      '{{! not said &lt;/script&gt; }}',
      'a {{b}} {{#when client.is_company}}x{{otherwise}}y{{/when}}',
      '{{#invoice.lines | first 3}}',
      '{{amount}}</strong>',
      '{{&gt; Ways to pay}}',
      'src="data:x"',
      'Subject: {{invoice.number}}',
    ])
      expect(body).toContain(words);
    expect(page.match(/<\/script>/g)).toHaveLength(1);
    expect(body).not.toContain('<script');
  });

  it('is read from what it shows once that was changed', () => {
    expect(textFormOfPage(page.replaceAll('x{{otherwise}}', 'z{{otherwise}}'))).toBeUndefined();
    expect(textFormOfPage('<html><body>\nx\n</body></html>')).toBeUndefined();
  });
});

describe('JSON that is no template of ours', () => {
  const wrong = (text: string) => readTemplateJson(text, 'f').problems[0]?.message;
  const json = JSON.parse(printTemplateJson(all[0]!.template)) as Record<string, unknown>;
  it.each([
    ['{', 'This is no JSON'],
    [JSON.stringify({ ...json, version: 99 }), 'This was written by another version'],
    [
      JSON.stringify({ ...json, document: { type: 'doc', content: [{ type: 'cloud' }] } }),
      'Its head or its words',
    ],
    [JSON.stringify({ ...json, document: undefined }), 'Its head or its words'],
    [JSON.stringify({ ...json, head: { name: 'x' } }), ''],
    [JSON.stringify({ ...json, head: { ...(json.head as object), startsFrom: 'cloud' } }), 'starts from'],
    [JSON.stringify({ ...json, head: { ...(json.head as object), subject: 'x' } }), 'Its head or its words'],
  ])('%#', (text, says) => {
    expect(readTemplateJson(text, 'f').value).toBeUndefined();
    expect(wrong(text)).toContain(says);
  });
});
