import type { Blank, Field, Gap, Unfinished } from '../../template/document';
import { printSteps } from '../../template/tags/printTag';
import type { Step } from '../../template/tags/step';
import { typeOfBlank } from '../blanks';
import { resolvePath } from '../paths/resolvePath';
import { nextPart, placeOf, refused, type Scope } from '../paths/scope';
import type { KeptWords } from '../house';
import { placeId, type Piece, type Run, type Source } from '../run';
import { asItIs } from '../show';
import { compileSteps, wholeRecord, type CompiledSteps } from '../steps/compileSteps';
import { isMissing, rawOf } from '../values';
import { escapeWithBreaks } from '../write/escape';
import { missingFact, ownerName } from './missing';
import { isOfHouse, slotOf, sourceOf } from './source';

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
  /** Says of it what its words do not: that they are missing, and where they come from. */
  const tell = ({ owner, record, reason }: Source, stored: unknown, said: string | undefined, run: Run) => {
    const id = placeId(part, run);
    let value = said;
    if (value === undefined) {
      const hole = missingFact(path, owner, run);
      run.holes.push({ id, kind: 'field', ...hole, ...place });
      run.words.hole(id, 'field', hole.label);
      value = `[${hole.label}]`;
    }
    if (!run.notes) return;
    const raw = rawOfStored(stored, run.book.zone);
    run.notes.push(
      record === undefined
        ? { id, path: node.path, label, value, raw, steps: done, reason }
        : { id, path: node.path, label, value, raw, steps: done, record, reason },
    );
  };
  const read = (owner: unknown, run: Run) => (owner === undefined ? undefined : fact(owner as never, run));
  if (steps.text && isOfHouse(path)) {
    const number = scope.houseCount.all++;
    return (run) => {
      const source = (run.sources[slot] ??= find(run));
      const { owner } = source;
      let kept = run.house[number];
      if (kept === undefined || kept.owner !== owner)
        run.house[number] = kept = keptWords(owner, read(owner, run), steps, run);
      const { stored, said, html } = kept;
      if (said !== undefined) writeWords(part, said, html, run);
      if (said === undefined || run.notes) tell(source, stored, said, run);
    };
  }
  return (run) => {
    const source = (run.sources[slot] ??= find(run));
    const { owner } = source;
    const stored = read(owner, run);
    const said = write(part, steps, stored, run, nameOfOwner?.(owner, run));
    if (said === undefined || run.notes) tell(source, stored, said, run);
  };
}

function stepsInWords(steps: readonly Step[]): string[] {
  return steps.map((step) => printSteps([step]).slice(' | '.length));
}

/** Writes what a field or an answer says; gives undefined, and nothing is written, where it is missing. */
function write(
  part: string,
  steps: CompiledSteps,
  stored: unknown,
  run: Run,
  owner?: string,
): string | undefined {
  const value = worked(steps, stored, run);
  const { text, plain, show, fallback } = steps;
  if (isMissing(value)) return fallback === undefined ? undefined : writeText(part, fallback, false, run);
  if (text)
    return writeText(part, text === asItIs ? (value as string) : text(value as never, run), plain, run);
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  const said = show(value as never, run, words, owner);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

function worked({ apply }: CompiledSteps, stored: unknown, run: Run): unknown {
  return apply && stored !== undefined ? apply(stored, run) : stored;
}

/** What a field that says words alone says of a record, made ready for the next letter. */
function keptWords(owner: unknown, stored: unknown, steps: CompiledSteps, run: Run): KeptWords {
  const value = worked(steps, stored, run);
  const said = isMissing(value) ? steps.fallback : withLineFeeds(steps.text!(value as never, run));
  return { owner, stored, said, html: said === undefined ? '' : escapeWithBreaks(said) };
}

/**
 * Writes words that stand for a value, and gives them.
 * @param plain whether nothing in them can need escaping
 */
function writeText(part: string, said: string, plain: boolean, run: Run): string {
  if (plain) return writeWords(part, said, said, run);
  const html = escapeWithBreaks(said);
  return writeWords(part, html === said ? said : withLineFeeds(said), html, run);
}

function writeWords(part: string, said: string, html: string, run: Run): string {
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  words.value(said, html);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/** However its lines were ended where it came from, in a letter they end with a line feed. */
function withLineFeeds(said: string): string {
  return said.includes('\r') ? said.replace(/\r\n?/g, '\n') : said;
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
    const answer = run.answers.get(name);
    let value = write(part, steps, answer, run);
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
