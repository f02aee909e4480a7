import type { Blank } from '../../document/templateDocument';
import type { Clause, Condition, Operand, Step } from '../../document/step';
import { quote } from './lexer';
import type { Tag } from './tag';

/** Writes a tag as its text form, braces included. What readTag reads from it is the same tag. */
export function printTag(tag: Tag): string {
  if (tag.type === 'open block') return `::: {${tag.styles.map((style) => `.${style}`).join(' ')}}`;
  if (tag.type === 'close block') return ':::';
  return `{{${inner(tag)}}}`;
}

function inner(tag: Exclude<Tag, { type: 'open block' | 'close block' }>): string {
  switch (tag.type) {
    case 'field':
      return tag.attrs.path + printSteps(tag.attrs.steps);
    case 'blank':
      return printBlank(tag);
    case 'gap':
    case 'unfinished':
      return `${tag.type} ${quote(tag.attrs.words)}`;
    case 'signature':
      return 'signature';
    case 'comment':
      return `! ${tag.attrs.words} `;
    case 'passage':
      return `> ${tag.attrs.passage}`;
    case 'open':
      return `${tag.inverted ? '^' : '#'}${tag.path}${printSteps(tag.steps)}`;
    case 'close':
      return `/${tag.path}`;
    case 'open when':
      return `#when ${printCondition(tag.condition)}`;
    case 'otherwise':
      return 'otherwise';
    case 'close when':
      return '/when';
  }
}

function printBlank({ attrs: { name, answer, default: preset, steps } }: Blank): string {
  const type =
    answer && (answer.kind === 'choice' ? `choice of ${answer.of.map(quote).join(' ')}` : answer.kind);
  const plain = preset !== undefined && /^[^\s|"=}{](?:[^|"}{]*[^\s|"}{])?$/.test(preset);
  const value = preset === undefined ? '' : ` = ${plain ? preset : quote(preset)}`;
  return `? ${name}${type ? ` : ${type}` : ''}${value}${printSteps(steps)}`;
}

/** Steps as they are written behind a path. */
export function printSteps(steps: readonly Step[]): string {
  return steps.map((step) => ` | ${printStep(step)}`).join('');
}

function printStep(step: Step): string {
  switch (step.step) {
    case 'plus':
    case 'minus':
      return `${step.step} ${step.amount} ${step.unit}${step.amount === 1 ? '' : 's'}`;
    case 'plus percent':
    case 'minus percent':
      return `${step.step.slice(0, -8)} ${step.percent}%`;
    case 'share':
      return `share ${step.percent}%`;
    case 'next':
      return `next ${step.day}`;
    case 'as':
      return `as ${step.words.map(quote).join(' ')}`;
    case 'button':
    case 'or':
      return `${step.step} ${quote(step.words)}`;
    case 'width':
      return `width ${step.pixels}`;
    case 'where':
      return `where ${printCondition(step.condition)}`;
    case 'by':
      return `by ${step.field}${step.down ? ' down' : ''}`;
    case 'first':
    case 'last':
      return `${step.step} ${step.count}`;
    case 'sum':
      return `sum ${step.field}`;
    case 'counted':
    case 'plural':
      return `${step.step} ${step.forms.map(quote).join(' ')}`;
    default:
      return step.step;
  }
}

/** A condition as it is written in a tag. */
export function printCondition({ join, clauses }: Condition): string {
  return clauses.map(printClause).join(` ${join} `);
}

function printClause({ path, steps, operator, right }: Clause): string {
  const left = path + printSteps(steps);
  if (!operator) return left;
  return right ? `${left} ${operator} ${printOperand(right)}` : `${left} ${operator}`;
}

function printOperand(right: Operand): string {
  switch (right.kind) {
    case 'text':
      return quote(right.text);
    case 'date':
      return right.iso;
    case 'yes/no':
      return right.yes ? 'yes' : 'no';
    case 'path':
      return right.path;
    case 'blank':
      return `? ${quote(right.name)}`;
    default:
      return right.text;
  }
}
