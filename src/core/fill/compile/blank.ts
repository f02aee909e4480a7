import type { Blank } from '../../document/templateDocument';
import { typeOfBlank } from '../blanks';
import { nextPart, placeOf, refused, type Scope } from '../paths/scope';
import { placeId, type Emit } from '../run';
import { compileSteps, stepsInWords } from '../steps/compileSteps';
import { rawOf } from '../values';
import { writeValue } from './writeValue';

/** Compiles a blank: its answer as a value of its type. */
export function compileBlank(node: Blank, scope: Scope): Emit {
  const { steps: asked } = node.attrs;
  const definition = scope.blanks.get(node.attrs.name)!;
  const type = typeOfBlank(definition.answer);
  const steps = compileSteps(asked, type, scope);
  if (typeof steps === 'string') return refused(node, steps, scope);
  const place = placeOf(scope, node);
  const { name, preset } = definition;
  const rawOfAnswer = rawOf(type);
  const done = stepsInWords(asked);
  const part = nextPart(scope);
  return (run) => {
    const answer = run.answers.get(name);
    let value = writeValue(part, steps, answer, run);
    if (value !== undefined && !run.notes) return;
    const id = placeId(part, run);
    if (value === undefined) {
      const reason = `“${name}” has not been answered.`;
      run.holes.push({ id, kind: 'blank', path: name, label: name, ...place, reason });
      run.words.hole(id, 'blank', name);
      value = `[${name}]`;
    }
    if (!run.notes) return;
    const reason =
      answer === undefined
        ? 'not answered yet'
        : answer === preset
          ? 'the default'
          : 'answered for this letter';
    const raw = rawOfAnswer(answer, run.book.zone);
    run.notes.push({ id, path: name, label: name, said: name, value, raw, steps: done, reason });
  };
}
