import { scalar, typeInWords, type FieldType } from '../../records/fieldType';
import { resolvePath } from '../paths/resolvePath';
import { within, type Scope } from '../paths/scope';
import type { Frame, Run } from '../run';
import { textOfItem } from '../show';
import { counted, plural } from './countSteps';
import { form, type Meaning, type StepTable } from './meaning';

type Items = readonly unknown[];
type ListType = Extract<FieldType, { kind: 'collection' }>;

/** The steps of lists. */
export const LIST_STEPS: StepTable = {
  joined: (_, type) => joined(type as ListType, 'and'),
  'joined or': (_, type) => joined(type as ListType, 'or'),
  counted,
  plural,
  count: () => ({ type: scalar('number'), apply: (items: Items) => items.length }),
  first: ({ count }, type) => ({ type, apply: (items: Items) => items.slice(0, count) }),
  last: ({ count }, type) => ({ type, apply: (items: Items) => (count ? items.slice(-count) : []) }),
  where: ({ condition }, type, scope) => {
    const inner = within(scope, (type as ListType).of);
    const problems: string[] = [];
    const holds = scope.compileCondition(condition, inner, (message) => problems.push(message));
    if (problems.length) return problems.join(' ');
    return { type, apply: (items: Items, run: Run) => items.filter((item) => inFrame(item, run, holds)) };
  },
  by: ({ field, down }, type, scope) => {
    const key = fieldOf(type as ListType, field, scope);
    if (typeof key === 'string') return key;
    return {
      type,
      apply: (items: Items, run: Run) => sortBy(items, down, (item) => inFrame(item, run, key.read)),
    };
  },
  sum: ({ field }, type, scope) => {
    const key = fieldOf(type as ListType, field, scope);
    if (typeof key === 'string') return key;
    const { kind } = key.type;
    if (kind !== 'money' && kind !== 'number' && kind !== 'duration') {
      return `Only sums and numbers can be added up; “${field}” is ${typeInWords(key.type)}.`;
    }
    const add = (items: Items, run: Run) =>
      items.reduce<number>(
        (sum, item) => sum + ((inFrame(item, run, key.read) as number | undefined) ?? 0),
        0,
      );
    return { type: key.type, apply: add };
  },
};

function joined(type: ListType, word: 'and' | 'or'): Meaning {
  const each = textOfItem(type.of);
  return form((items: Items, run: Run) => run.formats[word](items.map((item) => each(item as never, run))))();
}

function fieldOf(type: ListType, field: string, scope: Scope) {
  if (type.of.kind !== 'record')
    return `“${field}” is looked for in records, and this is ${typeInWords(type)}.`;
  return resolvePath(field, within(scope, type.of));
}

/** Runs something with a list's item as the innermost frame. */
function inFrame<T>(value: unknown, run: Run, read: (run: Run) => T): T {
  const frame: Frame = { value, index: 0, count: 1 };
  run.frames.push(frame);
  try {
    return read(run);
  } finally {
    run.frames.pop();
  }
}

/** A stable sort by a value; what is missing comes last, whichever way. */
function sortBy(items: Items, down: boolean, read: (item: unknown) => unknown): Items {
  const keyed = items.map((item) => ({ item, key: read(item) as string | number | boolean | undefined }));
  const order = down ? -1 : 1;
  keyed.sort(({ key: a }, { key: b }) => {
    if (a === undefined || b === undefined) return a === b ? 0 : a === undefined ? 1 : -1;
    if (typeof a === 'string' && typeof b === 'string')
      return order * a.localeCompare(b, 'en', { numeric: true });
    return a < b ? -order : a > b ? order : 0;
  });
  return keyed.map(({ item }) => item);
}
