import { partsIn, type Part } from '../../document/eachPart';
import type { Line, Section } from '../../document/templateDocument';
import type { FieldType } from '../../records/fieldType';
import { printCondition, printSteps, printTag } from '../../template/tags/printTag';
import type { Clause, Condition, Operand, Step } from '../../document/step';
import type { Tag } from '../../template/tags/tag';
import type { Template } from '../../template/template';
import { newScope, type CompileContext } from '../compile/newScope';
import { readAmount } from '../../money/currency';
import { Formats } from '../formats/formats';
import { resolvePath } from '../paths/resolvePath';
import { within, type Scope } from '../paths/scope';
import { compileSteps } from '../steps/compileSteps';

/** Tags in words, by their text form: what a template in pencil shows instead of them. */
export type Labels = Record<string, string>;

/** A tag in words; one that has none is said as it is written. */
export function labelOf(tag: Tag, labels: Readonly<Labels>): string {
  const written = printTag(tag);
  return labels[written] ?? written;
}

/** The words for every tag of a template that compiles: "start, time", "Only when balance is over £100". */
export function labelsOf({ head, document }: Template, context: CompileContext): Labels {
  const scope = newScope(context, head, []);
  const labels: Labels = {};
  const lines: Line[] = [head.subject, head.replyTo ?? [], head.copy ?? [], head.blindCopy ?? []];
  for (const part of [...lines, document.content]) visitAll(part, scope, labels);
  return labels;
}

function visitAll(nodes: readonly Part[], scope: Scope, labels: Labels): void {
  for (const node of nodes) {
    let inside = scope;
    if (node.type === 'field') labels[printTag(node)] = fieldLabel(node.attrs.path, node.attrs.steps, scope);
    else if (node.type === 'blank') {
      const { name, steps } = node.attrs;
      labels[printTag(node)] = [name, ...steps.map((step) => stepLabel(step, undefined, scope))].join(', ');
    } else if (node.type === 'section') {
      labels[printTag({ type: 'open', ...node.attrs })] = sectionLabel(node.attrs, scope);
      inside = sectionScope(node.attrs, scope);
    } else if (node.type === 'when') {
      labels[printTag({ type: 'open when', ...node.attrs })] =
        `Only when ${conditionLabel(node.attrs.condition, scope)}`;
    }
    visitAll(partsIn(node), inside, labels);
  }
}

/** "member, given name" for booking.member.given_name in a template that starts from a booking. */
function fieldLabel(path: string, steps: readonly Step[], scope: Scope): string {
  const resolved = resolvePath(path, scope);
  const of =
    typeof resolved !== 'string' && resolved.type.kind === 'collection' ? resolved.type.of : undefined;
  return [pathLabel(path, scope), ...steps.map((step) => stepLabel(step, of, scope))].join(', ');
}

function pathLabel(path: string, scope: Scope): string {
  if (path === '.') return 'it';
  const names = path.split('.');
  const words: string[] = [];
  for (let length = 1; length <= names.length; length++) {
    const resolved = resolvePath(names.slice(0, length).join('.'), scope);
    if (typeof resolved !== 'string') words.push(resolved.label);
  }
  const known = words[0] === scope.startsFrom || words[0] === 'recipient' || names[0] === 'links';
  return words.slice(words.length > 1 && known ? 1 : 0).join(', ');
}

/** Steps whose own names say little beside a field. */
const STEP_WORDS: Partial<Record<Step['step'], string>> = {
  upper: 'in capitals',
  lower: 'in small letters',
  title: 'each word with a capital',
  sentence: 'with a capital',
};

/** @param of the type of a list's items, whose fields the step may name */
function stepLabel(step: Step, of: FieldType | undefined, scope: Scope): string {
  const inner = of ? within(scope, of) : scope;
  switch (step.step) {
    case 'or':
      return `or “${step.words}”`;
    case 'as':
      return `as ${step.words.map((words) => `“${words}”`).join(' or ')}`;
    case 'button':
      return `a button “${step.words}”`;
    case 'width':
      return `${step.pixels} wide`;
    case 'by':
      return `by ${pathLabel(step.field, inner)}${step.down ? ', down' : ''}`;
    case 'sum':
      return `sum of ${pathLabel(step.field, inner)}`;
    case 'where':
      return `where ${conditionLabel(step.condition, inner)}`;
    default:
      return STEP_WORDS[step.step] ?? printSteps([step]).slice(3);
  }
}

function sectionLabel(node: Section<never>['attrs'], scope: Scope): string {
  const label = fieldLabel(node.path, node.steps, scope);
  const kind = kindOf(node, scope);
  const there = kind === 'record' || kind === 'collection';
  if (node.inverted) {
    if (kind === 'yes/no') return `Only when ${yesOrNo(label, false)}`;
    return there ? `Only when there is no ${label}` : `Only when ${label} is not set`;
  }
  if (kind === 'collection') return `For each of ${label}`;
  if (kind === 'yes/no') return `Only when ${label}`;
  return there ? `Only when there is ${article(label)} ${label}` : `Only when ${label} is set`;
}

function article(words: string): string {
  return /^[aeiou]/.test(words) ? 'an' : 'a';
}

function kindOf({ path, steps }: { path: string; steps: Step[] }, scope: Scope) {
  const resolved = resolvePath(path, scope);
  if (typeof resolved === 'string') return undefined;
  const compiled = compileSteps(steps, resolved.type, scope);
  return typeof compiled === 'string' ? undefined : compiled.type.kind;
}

/** The scope inside a section: that around it, where it only asks whether something is there. */
export function sectionScope(node: Section<never>['attrs'], scope: Scope): Scope {
  const resolved = resolvePath(node.path, scope);
  if (typeof resolved === 'string' || node.inverted) return scope;
  const steps = compileSteps(node.steps, resolved.type, scope);
  if (typeof steps === 'string' || steps.type.kind === 'yes/no') return scope;
  return within(scope, steps.type.kind === 'collection' ? steps.type.of : steps.type);
}

/** A condition in words: “balance is over £100”. */
export function conditionLabel({ join, clauses }: Condition, scope: Scope): string {
  return clauses.map((clause) => clauseLabel(clause, scope)).join(` ${join} `);
}

function clauseLabel({ path, steps, operator, right }: Clause, scope: Scope): string {
  const left = fieldLabel(path, steps, scope);
  if (!operator) return left;
  if (right?.kind === 'yes/no' && /^is(?: not)?$/.test(operator))
    return yesOrNo(left, right.yes === (operator === 'is'));
  const verb = /^is|contains/.test(operator) ? operator : `is ${operator}`;
  return right
    ? `${left} ${verb} ${operandLabel(right, kindOf({ path, steps }, scope), scope)}`
    : `${left} ${verb}`;
}

/** “is past”, “is not past”; what is not called so is yes or no. */
function yesOrNo(label: string, yes: boolean): string {
  const called = /^(.*, )?is (.*)$/.exec(label);
  if (!called) return `${label} is ${yes ? 'yes' : 'no'}`;
  return yes ? label : `${called[1] ?? ''}is not ${called[2]}`;
}

function operandLabel(right: Operand, left: FieldType['kind'] | undefined, scope: Scope): string {
  if (right.kind === 'number' && left === 'money') {
    const amount = readAmount(right.text, scope.schema.currency);
    if (amount !== undefined) return sumLabel(amount, scope.schema.currency);
  }
  if (right.kind === 'path') return pathLabel(right.path, scope);
  if (right.kind === 'text') return `“${right.text}”`;
  if (right.kind === 'blank') return `the answer to “${right.name}”`;
  const written = printCondition({ join: 'and', clauses: [{ path: '.', steps: [], operator: 'is', right }] });
  return written.slice(5);
}

/** A sum beside a condition, for the team: in the interface's own language. */
function sumLabel(amount: number, currency: string): string {
  const settings = { locale: 'en-GB', home: 'en-GB', zone: 'UTC', currency, hourCycle: 24 } as const;
  return new Formats(settings).wholeMoney(amount);
}
