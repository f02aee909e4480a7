import { stringify } from 'yaml';
import type { Line } from '../document';
import type { Passage, Template, TemplateHead } from '../template';
import { printLine } from './printLine';
import { printMarkdown } from './printMarkdown';

/** Writes a template's file. Reading it gives the same template; writing that gives the same file. */
export function printTemplate({ head, document }: Template): string {
  return `---\n${printHead(head)}---\n${printMarkdown(document)}`;
}

export function printPassage({ name, document }: Passage): string {
  return `---\nname: ${scalar(name)}\n---\n${printMarkdown(document)}`;
}

function printHead(head: TemplateHead): string {
  const line = (value: Line | undefined) => value && printLine(value);
  const rows: [key: string, value: string | undefined][] = [
    ['name', head.name],
    ['group', head.group],
    ['starts from', head.startsFrom],
    ['subject', line(head.subject)],
    ['from', head.from],
    ['reply to', line(head.replyTo)],
    ['copy', line(head.copy)],
    ['blind copy', line(head.blindCopy)],
    ['signature', head.signature],
    ['language', head.language],
    ['note', head.note],
    ['kind', head.kind],
  ];
  const written = rows.flatMap(([key, value]) => (value === undefined ? [] : [`${key}: ${scalar(value)}\n`]));
  if (head.attach) written.push(`attach: [${head.attach.map(scalar).join(', ')}]\n`);
  if (head.resting) written.push('resting: yes\n');
  if (head.mine) written.push('mine: yes\n');
  return written.join('');
}

/** Plain where YAML allows it, single quotes around tags and wherever plain would mean something else. */
function scalar(text: string): string {
  const plain = stringify(text, { lineWidth: 0, singleQuote: true }).trimEnd();
  if (/^[|>"]/.test(plain) || (plain[0] !== "'" && /\{\{|[[\],]/.test(text))) {
    return text.includes('\n') ? JSON.stringify(text) : `'${text.replaceAll("'", "''")}'`;
  }
  return plain;
}
