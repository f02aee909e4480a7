import { compileCondition } from '../fill/compile/condition';
import { newScope } from '../fill/compile/newScope';
import { askingRun } from '../fill/newRun';
import type { Schema } from '../records/schema';
import type { Situation } from '../records/which/situation';
import type { TemplateHead } from '../template/template';

type Holds = (situation: Situation) => boolean;

const compiled = new WeakMap<TemplateHead, Holds>();

/** Whether what a template's head says of when it fits holds; undefined where it says nothing. */
export function fitsWhen(head: TemplateHead, schema: Schema, situation: Situation): boolean | undefined {
  if (!head.fitsWhen) return undefined;
  let holds = compiled.get(head);
  if (!holds) compiled.set(head, (holds = compile(head, schema)));
  return holds(situation);
}

/** One that can no longer be judged, as a field of it is gone, does not hold. */
function compile(head: TemplateHead, schema: Schema): Holds {
  const problems: string[] = [];
  const scope = newScope({ schema, passages: new Map() }, head, []);
  const holds = compileCondition(head.fitsWhen!, scope, (message) => problems.push(message));
  if (problems.length) return () => false;
  return (situation) => holds(askingRun(situation, head.language, scope.tally.slotCount));
}
