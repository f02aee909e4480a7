import { stringify } from 'yaml';
import type { Line } from '../../document/templateDocument';
import type { Template, TemplateHead } from '../template';
import { printCondition } from '../tags/printTag';
import { printLine } from './printLine';
import { printMarkdown } from './printMarkdown';

/** Writes a template's file. Reading it gives the same template; writing that gives the same file. */
export function printTemplate({ head, document }: Template): string {
  return `---\n${printHead(head)}---\n${printMarkdown(document)}`;
}

function printHead(head: TemplateHead): string {
  const line = (value: Line | undefined) => value && printLine(value);
  const text = (key: string, value: string | undefined) =>
    value === undefined ? [] : [`${key}: ${scalar(value)}\n`];
  const yes = (key: string, value: boolean | undefined) => (value ? [`${key}: yes\n`] : []);
  return [
    ...text('name', head.name),
    ...text('group', head.group),
    ...text('starts from', head.startsFrom),
    ...text('subject', line(head.subject)),
    ...text('written to', head.writtenTo),
    ...text('from', head.from),
    ...text('reply to', line(head.replyTo)),
    ...text('copy', line(head.copy)),
    ...text('blind copy', line(head.blindCopy)),
    ...(head.attach ? [`attach: [${head.attach.map((name) => scalar(name, true)).join(', ')}]\n`] : []),
    ...text('signature', head.signature),
    ...text('letterhead', head.letterhead),
    ...text('fits when', head.fitsWhen && printCondition(head.fitsWhen)),
    ...text('action', head.action && `${head.action.act}${head.action.first ? ', first' : ''}`),
    ...text('language', head.language),
    ...text('note', head.note),
    ...yes('resting', head.resting),
    ...text('kind', head.kind),
    ...yes('mine', head.mine),
  ].join('');
}

/** Plain where YAML allows it, single quotes around tags and wherever plain would mean something else. */
function scalar(text: string, inList = false): string {
  const plain = stringify(text, { lineWidth: 0, singleQuote: true }).trimEnd();
  if (
    /^[|>"]/.test(plain) ||
    (plain[0] !== "'" && (text.includes('{{') || (inList && /[[\],]/.test(text))))
  ) {
    return text.includes('\n') ? JSON.stringify(text) : `'${text.replaceAll("'", "''")}'`;
  }
  return plain;
}
