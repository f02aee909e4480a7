import type { PassageUse, Section, When } from '../../document/templateDocument';
import { didYouMean } from '../../problems/nearest';
import { resolvePath } from '../paths/resolvePath';
import { report, within, type ReadPassage, type Scope } from '../paths/scope';
import type { Frame, Emit } from '../run';
import { compileSteps, valueOf } from '../steps/compileSteps';
import { isMissing } from '../values';
import { compileCondition } from './condition';

/** Compiles the children of a structure, whatever they are. */
export type CompileAll<Child> = (children: readonly Child[], scope: Scope) => Emit;

const NOTHING: Emit = () => {};

/** What is written one after another, as one. */
export function sequence(emits: readonly Emit[]): Emit {
  if (emits.length === 0) return NOTHING;
  if (emits.length === 1) return emits[0]!;
  const count = emits.length;
  return (run) => {
    for (let i = 0; i < count; i++) emits[i]!(run);
  };
}

/** Compiles a section: what stands in it once for each of a list, once for a value, or where there is none. */
export function compileSection<Child>(node: Section<Child>, scope: Scope, all: CompileAll<Child>): Emit {
  const { inverted, path: written, steps: asked } = node.attrs;
  const path = resolvePath(written, scope);
  if (typeof path === 'string') {
    report(scope, node, path);
    return NOTHING;
  }
  const steps = compileSteps(asked, path.type, scope);
  if (typeof steps === 'string') {
    report(scope, node, steps);
    return NOTHING;
  }
  const { type } = steps;
  const read = valueOf(path, steps);
  if (inverted) {
    const inner = all(node.content, scope);
    return (run) => {
      const value = read(run);
      if (isMissing(value) || value === false) inner(run);
    };
  }
  if (type.kind === 'yes/no') {
    const inner = all(node.content, scope);
    return (run) => {
      if (read(run) === true) inner(run);
    };
  }
  const isOne = type.kind === 'record' && !asked.length;
  const inside = within(
    scope,
    type.kind === 'collection' ? type.of : type,
    isOne ? path.reasonAtEnd : undefined,
  );
  const inner = all(node.content, inside);
  const slots = [...inside.frames.at(-1)!.slots.values()];
  return (run) => {
    const value = read(run);
    if (isMissing(value)) return;
    const items = type.kind === 'collection' ? (value as unknown[]) : [value];
    const frame: Frame = { value: undefined, index: 0, count: items.length };
    run.frames.push(frame);
    for (let i = 0; i < items.length; i++) {
      frame.value = items[i];
      frame.index = i;
      run.round = undefined;
      for (const slot of slots) run.owners[slot] = run.origins[slot] = undefined;
      inner(run);
    }
    run.frames.pop();
    run.round = undefined;
  };
}

/** Compiles an only-when: one branch where its condition holds, the other where it does not. */
export function compileWhen<Child>(node: When<Child>, scope: Scope, all: CompileAll<Child>): Emit {
  const { condition } = node.attrs;
  const holds = compileCondition(condition, scope, (message) => report(scope, node, message));
  const [branch, other] = node.content;
  const then = all(branch.content, scope);
  const otherwise = other ? all(other.content, scope) : NOTHING;
  return (run) => (holds(run) ? then : otherwise)(run);
}

/** Finds a passage; an unknown one or a circle is reported. Gives the scope of its own text with it. */
export function enterPassage(
  node: PassageUse,
  scope: Scope,
): { used: ReadPassage; scope: Scope } | undefined {
  const { passage } = node.attrs;
  const used = scope.passages.get(passage);
  if (!used) {
    const near = didYouMean(passage, [...scope.passages.values()].map(nameOf));
    report(scope, node, `There is no passage “${passage}”.${near}`);
    return undefined;
  }
  const name = nameOf(used);
  if (scope.inside.includes(passage)) {
    const around = scope.inside.slice(scope.inside.indexOf(passage));
    const circle = [...around, passage].map((one) => nameOf(scope.passages.get(one)!)).join(' → ');
    report(scope, node, `The passages go round in a circle: ${circle}.`);
    return undefined;
  }
  return {
    used,
    scope: { ...scope, inside: [...scope.inside, passage], places: used.places, file: name },
  };
}

function nameOf({ passage }: ReadPassage): string {
  return passage.name;
}
