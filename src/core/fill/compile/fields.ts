import type { Blank, Field, Gap, Unfinished } from '../../template/document';
import { printSteps } from '../../template/tags/printTag';
import type { Step } from '../../template/tags/step';
import { typeOfBlank } from '../blanks';
import { resolvePath } from '../paths/resolvePath';
import { nextPart, placeOf, refused, type Scope } from '../paths/scope';
import { placeId, type Piece, type Run } from '../run';
import { asItIs } from '../show';
import { compileSteps, wholeRecord, type CompiledSteps } from '../steps/compileSteps';
import { isMissing, rawOf } from '../values';
import { escapeWithBreaks } from '../write/escape';
import { missingFact, ownerName } from './missing';
import { slotOf, sourceOf } from './source';

/** Compiles a field: what it says, its note, and its hole where the fact is missing. */
export function compileField(node: Field, scope: Scope): Piece {
  const path = resolvePath(node.path, scope);
  if (typeof path === 'string') return refused(node, path, scope);
  const steps = compileSteps(node.steps, path.type, scope, path.shownAs);
  if (typeof steps === 'string') return refused(node, steps, scope);
  if (steps.type.kind === 'record') return refused(node, wholeRecord(steps.type, scope, node.path), scope);
  const place = placeOf(scope, node);
  const { fact, label, type } = path;
  const slot = slotOf(path, scope);
  const find = sourceOf(path, scope);
  const rawOfStored = rawOf(type);
  const done = stepsInWords(node.steps);
  const nameOfOwner = steps.type.kind === 'image' ? ownerName(path) : undefined;
  const part = nextPart(scope);
  return (run) => {
    const { owner, record, reason } = (run.sources[slot] ??= find(run));
    const stored = owner === undefined ? undefined : fact(owner as never, run);
    let value = write(part, steps, stored, run, nameOfOwner?.(owner, run));
    if (value === undefined) {
      const hole = missingFact(path, owner, run);
      const id = placeId(part, run);
      run.holes.push({ id, kind: 'field', ...hole, ...place });
      run.words.hole(id, 'field', hole.label);
      value = `[${hole.label}]`;
    }
    if (!run.notes) return;
    const id = placeId(part, run);
    const raw = rawOfStored(stored, run.book.zone);
    run.notes.push(
      record === undefined
        ? { id, path: node.path, label, value, raw, steps: done, reason }
        : { id, path: node.path, label, value, raw, steps: done, record, reason },
    );
  };
}

function stepsInWords(steps: readonly Step[]): string[] {
  return steps.map((step) => printSteps([step]).slice(' | '.length));
}

/** Writes what a field or an answer says; gives undefined, and nothing is written, where it is missing. */
function write(
  part: string,
  { apply, text, plain, show, fallback }: CompiledSteps,
  stored: unknown,
  run: Run,
  owner?: string,
): string | undefined {
  const value = apply && stored !== undefined ? apply(stored, run) : stored;
  if (isMissing(value)) return fallback === undefined ? undefined : put(part, fallback, false, run);
  if (text === asItIs) return put(part, value as string, plain, run);
  if (text) return put(part, text(value as never, run), plain, run);
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  const said = show(value as never, run, words, owner);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/**
 * Writes words that stand for a value, and gives them.
 * @param plain whether nothing in them can need escaping
 */
function put(part: string, said: string, plain: boolean, run: Run): string {
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  const html = plain ? said : escapeWithBreaks(said);
  // However its lines were ended where it came from, here they end with a line feed.
  if (html !== said) said = said.replace(/\r\n?/g, '\n');
  words.value(said, html);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/** Compiles a blank: its answer as a value of its type. */
export function compileBlank(node: Blank, scope: Scope): Piece {
  const definition = scope.blanks.get(node.name)!;
  const type = typeOfBlank(definition.answer);
  const steps = compileSteps(node.steps, type, scope);
  if (typeof steps === 'string') return refused(node, steps, scope);
  const place = placeOf(scope, node);
  const { name, preset } = definition;
  const rawOfAnswer = rawOf(type);
  const done = stepsInWords(node.steps);
  const part = nextPart(scope);
  return (run) => {
    const id = placeId(part, run);
    const answer = run.answers.get(name);
    let value = write(part, steps, answer, run);
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
    run.notes.push({ id, path: name, label: name, value, raw, steps: done, reason });
  };
}

/** A gap or an unfinished part: its words stand there, and it is a hole. */
export function compileOpen(node: Gap | Unfinished, scope: Scope): Piece {
  const place = placeOf(scope, node);
  const { words } = node;
  const reason =
    node.type === 'gap'
      ? `A field is still to be put here: ${words}.`
      : `“${words}” is made up and still to be replaced.`;
  const kind = node.type;
  const part = nextPart(scope);
  return (run) => {
    const id = placeId(part, run);
    run.holes.push({ id, kind, path: words, label: words, ...place, reason });
    run.words.hole(id, kind, words);
  };
}
