import { compileTemplate } from '../fill/compileTemplate';
import { fillTemplate } from '../fill/fillTemplate';
import { readPassages } from '../fill/paths/scope';
import { escapeHtml } from '../fill/write/escape';
import { withImagesAt } from '../fill/write/images';
import { RecordBook } from '../records/recordBook';
import { schemaOf } from '../records/schema';
import { situationFrom } from '../records/which/situation';
import type { Template } from '../template/template';
import { printTemplate } from '../template/text/printTemplate';
import { lineAsWords, tagsAsWords } from './tagsAsWords';

/** The words of a page have no facts in them. */
const NOBODYS = { business: {}, clients: [{ key: 'nobody' }] };

/** By which a page is told to hold a template (HTML, 4.12.1: a data block). */
const DATA = '<script type="application/json" id="fair-quill-template">';
const DATA_END = '</script>';

/**
 * Writes a template as a page: its words with each tag as text form has it, and its text form as data that no browser shows, so that it
 * comes in again as it was.
 * @param pictureAt where each of its pictures is
 */
export function templatePage(template: Template, pictureAt: (source: string) => string | undefined): string {
  const { head, document } = template;
  const context = { schema: schemaOf(NOBODYS), passages: readPassages([]) };
  const situation = situationFrom(
    new RecordBook(NOBODYS, 0),
    { kind: 'client', key: 'nobody' },
    { sender: { key: '' } },
  )!;
  const words = {
    head: { name: '', group: '', startsFrom: 'client' as const, subject: lineAsWords(head.subject) },
    document: tagsAsWords(document),
  };
  const { compiled } = compileTemplate(words, context);
  const { subject, html } = compiled ? fillTemplate(compiled, situation) : { subject: '', html: '' };
  const body = [
    `<h1>${escapeHtml(head.name)}</h1>`,
    `<p>Group: ${escapeHtml(head.group)}. Starts from: ${escapeHtml(head.startsFrom)}.</p>`,
    `<p>Subject: ${escapeHtml(subject)}</p>`,
    '<hr>',
    withImagesAt(html, pictureAt),
  ].join('\n');
  return `<!doctype html>
<html${head.language ? ` lang="${escapeHtml(head.language)}"` : ''}>
<head>
<meta charset="utf-8">
<title>${escapeHtml(head.name)}</title>
<meta name="generator" content="Fair Quill; ${sumOf(body)}">
${DATA}${JSON.stringify(printTemplate(template)).replaceAll('<', '\\u003c')}${DATA_END}
</head>
<body>
${body}
</body>
</html>
`;
}

/** The text form that a page of ours holds. Undefined: it holds none, or its words were changed since: then they are what counts. */
export function textFormOfPage(page: string): string | undefined {
  const said = /<meta name="generator" content="Fair Quill; (\w+)">/.exec(page.slice(0, 2_000))?.[1];
  const from = page.indexOf(DATA);
  const to = page.indexOf(DATA_END, from);
  const body = /<body>\n([^]*)\n<\/body>/.exec(page.replace(/\r\n?/g, '\n'))?.[1];
  if (said === undefined || from < 0 || to < 0 || body === undefined || sumOf(body) !== said)
    return undefined;
  try {
    return String(JSON.parse(page.slice(from + DATA.length, to)));
  } catch {
    return undefined;
  }
}

/** By which it is told whether words were changed: FNV-1a, in 32 bits. */
function sumOf(words: string): string {
  let sum = 0x811c9dc5;
  for (let at = 0; at < words.length; at++) {
    sum ^= words.charCodeAt(at);
    sum = Math.imul(sum, 0x01000193) >>> 0;
  }
  return sum.toString(36);
}
