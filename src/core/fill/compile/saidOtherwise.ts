import type { Field } from '../../document/templateDocument';
import { resolvePath } from '../paths/resolvePath';
import type { Scope } from '../paths/scope';
import { compileSteps } from '../steps/compileSteps';

/** What a field of one letter says in place of what its template has it say: the same fact in another form, or another of its kind. */
export interface SaidOtherwise {
  /** the path that the template has there: where it has another by now this is meant for something else */
  of: string;
  /** of the field as it is to be */
  path: string;
  steps: Field['attrs']['steps'];
}

/** What a field is to say: what its letter has it say, where that is possible, else what its template has. */
export function asSaid(attrs: Field['attrs'], part: string, scope: Scope): Field['attrs'] {
  const wanted = Object.hasOwn(scope.otherwise, part) ? scope.otherwise[part] : undefined;
  if (!wanted || wanted.of !== attrs.path) return attrs;
  const path = resolvePath(wanted.path, scope);
  if (typeof path === 'string') return attrs;
  const steps = compileSteps(wanted.steps, path.type, scope, path);
  const isText = typeof steps !== 'string' && steps.text && steps.type.kind !== 'record';
  // What speaks for a missing fact speaks for this one, too.
  const fallback = attrs.steps.filter(({ step }) => step === 'or');
  return isText ? { path: wanted.path, steps: [...wanted.steps, ...fallback] } : attrs;
}
