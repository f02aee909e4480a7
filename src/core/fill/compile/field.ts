import type { Place } from '../../problems/problem';
import type { Field } from '../../document/templateDocument';
import { factPhrase } from '../describe/factPhrase';
import type { KeptWords } from '../keptOfBusiness';
import { resolvePath, type ResolvedPath } from '../paths/resolvePath';
import { nextPart, placeOf, refused, type Scope } from '../paths/scope';
import { placeId, type Origin, type Emit, type Run } from '../run';
import { compileSteps, stepsInWords, wholeRecord, type CompiledSteps } from '../steps/compileSteps';
import { rawOf } from '../values';
import { escapeWithBreaks } from '../write/escape';
import { asSaid } from './saidOtherwise';
import { missingFact, ownerName } from './missing';
import { isOfBusiness, originOf, slotOf } from './source';
import { withLineFeeds, wording, worked, writeValue, writeWords } from './writeValue';

/** A field as data, said by the functions below: one of each field's own would be a call of its own each time. */
export interface CompiledField {
  /** a kept one is found once for many letters */
  type: 'field' | 'kept field';
  /** names its place in the letter */
  part: string;
  path: ResolvedPath;
  /** where in the file it stands */
  place: Place;
  /** finds what its fact is read from, says where that comes from, and reads it */
  owner: ResolvedPath['owner'];
  origin: (owner: unknown, run: Run) => Origin;
  fact: ResolvedPath['fact'];
  /** where a filling keeps the first two */
  slot: number;
  steps: CompiledSteps;
  stepsInWords: string[];
  /** what the fact is called beside the letter */
  said: string;
  /** the fact as it would be stored */
  raw: ReturnType<typeof rawOf>;
  /** counts the kept fields */
  number: number;
}

/** Compiles a field: what it says, its note, and its hole where the fact is missing. */
export function compileField(node: Field, scope: Scope): CompiledField | Emit {
  const part = nextPart(scope);
  const { path: written, steps: asked } = asSaid(node.attrs, part, scope);
  const path = resolvePath(written, scope);
  if (typeof path === 'string') return refused(node, path, scope);
  const steps = compileSteps(asked, path.type, scope, path);
  if (typeof steps === 'string') return refused(node, steps, scope);
  if (steps.type.kind === 'record') return refused(node, wholeRecord(steps.type, scope, written), scope);
  const isKept = steps.text && isOfBusiness(path);
  const field: CompiledField = {
    type: isKept ? 'kept field' : 'field',
    part,
    path,
    place: placeOf(scope, node),
    owner: path.owner,
    origin: originOf(path, scope),
    fact: path.fact,
    slot: slotOf(path, scope),
    steps,
    stepsInWords: stepsInWords(asked),
    said: factPhrase(path.said, asked, path.type),
    raw: rawOf(path.type),
    number: isKept ? scope.tally.keptCount++ : 0,
  };
  if (steps.type.kind !== 'image') return field;
  const nameOfOwner = ownerName(path);
  return (run) => sayField(field, run, nameOfOwner);
}

/**
 * Writes what a field says of the records.
 * @param nameOfOwner what a picture is described by
 */
export function sayField(
  field: CompiledField,
  run: Run,
  nameOfOwner?: (owner: unknown, run: Run) => string | undefined,
): void {
  const owner = ownerIn(run, field);
  const stored = factOf(field, owner, run);
  const said = writeValue(field.part, field.steps, stored, run, nameOfOwner?.(owner, run));
  if (said === undefined || run.notes) tell(field, owner, stored, said, run);
}

/** Writes what a field says of the business, which it may have said in the letter before. */
export function sayKeptField(field: CompiledField, run: Run): void {
  const owner = ownerIn(run, field);
  let kept = run.kept[field.number];
  if (kept === undefined || kept.owner !== owner) {
    run.kept[field.number] = kept = wordsOf(field, owner, run);
  }
  const { stored, said, html } = kept;
  if (said !== undefined) writeWords(field.part, said, html, run);
  if (said === undefined || run.notes) tell(field, owner, stored, said, run);
}

function wordsOf(field: CompiledField, owner: unknown, run: Run): KeptWords {
  const stored = factOf(field, owner, run);
  const found = wording(field.steps, worked(field.steps, stored, run), run);
  const said = found === undefined ? undefined : withLineFeeds(found);
  return { owner, stored, said, html: said === undefined ? '' : escapeWithBreaks(said) };
}

function ownerIn(run: Run, { slot, owner }: CompiledField): unknown {
  return (run.owners[slot] ??= owner(run));
}

function factOf({ fact }: CompiledField, owner: unknown, run: Run): unknown {
  return owner === undefined ? undefined : fact(owner as never, run);
}

/** Tells what its words do not: that they are missing, and where they come from. */
function tell(
  { part, path, place, slot, origin, raw: asStored, stepsInWords: steps, said: called }: CompiledField,
  owner: unknown,
  stored: unknown,
  said: string | undefined,
  run: Run,
): void {
  const id = placeId(part, run);
  let value = said;
  if (value === undefined) {
    const hole = missingFact(path, owner, run);
    run.holes.push({ id, kind: 'field', ...hole, ...place });
    run.words.hole(id, 'field', hole.label);
    value = `[${hole.label}]`;
  }
  if (!run.notes) return;
  const { path: written, label } = path;
  const { record, reason } = (run.origins[slot] ??= origin(owner, run));
  const raw = asStored(stored, run.book.zone);
  run.notes.push(
    record === undefined
      ? { id, path: written, label, said: called, value, raw, steps, reason }
      : { id, path: written, label, said: called, value, raw, steps, record, reason },
  );
}
