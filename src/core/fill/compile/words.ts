import type {
  Blank,
  Field,
  Gap,
  Image,
  Inline,
  Line,
  Mark,
  PassageUse,
  Text,
  Unfinished,
} from '../../template/document';
import { longestRun, markKey, withoutMark } from '../../template/marks';
import { printSteps } from '../../template/tags/printTag';
import type { Step } from '../../template/tags/step';
import { typeOfBlank } from '../blanks';
import { resolvePath } from '../paths/resolvePath';
import { nextPart, placeOf, report, type Scope } from '../paths/scope';
import { placeId, type Piece, type Run } from '../run';
import { compileSteps, wholeRecord, type CompiledSteps } from '../steps/compileSteps';
import { isMissing, rawOf } from '../values';
import { AddressWriter, LineWriter } from '../write/lineWriter';
import { safeAddress } from '../write/escape';
import { literal, type Literal } from '../write/writer';
import { missingFact, ownerName, ownerReference } from './missing';
import { signatureOf } from './signature';
import { compileSection, compileWhen, enterPassage } from './structure';

/** Compiles inline words; runs that share a mark are wrapped once. */
export function compileWords(nodes: readonly Inline[], scope: Scope): Piece {
  const pieces: (Piece | Literal)[] = [];
  const clean = withoutComments(nodes);
  for (let at = 0; at < clean.length;) {
    const { mark, length } = longestRun(clean, at);
    if (!mark) {
      const node = clean[at]!;
      pieces.push(node.type === 'text' ? literal(node.text) : compileNode(node, scope));
      at++;
      continue;
    }
    const key = markKey(mark);
    const inner = compileWords(
      clean.slice(at, at + length).map((node) => copyPlace(node, withoutMark(node, key), scope)),
      scope,
    );
    pieces.push(compileMark(mark, inner, scope));
    at += length;
  }
  const count = pieces.length;
  return (run) => {
    for (let i = 0; i < count; i++) {
      const piece = pieces[i]!;
      if (typeof piece === 'function') piece(run);
      else run.words.literal(piece);
    }
  };
}

/** Compiles a line to a text: a subject, a header, an address. */
export function compileLine(line: Line, scope: Scope, Writer = LineWriter): (run: Run) => string {
  return asText(compileWords(line, scope), Writer);
}

/** What a piece says as one line of text. */
export function asText(piece: Piece, Writer = LineWriter): (run: Run) => string {
  return (run) => {
    const before = run.words;
    const writer = new Writer();
    run.words = writer;
    piece(run);
    run.words = before;
    return writer.end();
  };
}

/** A comment says nothing; one alone on its line takes the line with it. */
function withoutComments(nodes: readonly Inline[]): Inline[] {
  const kept: Inline[] = [];
  let dropBreak = false;
  for (const [i, node] of nodes.entries()) {
    if (node.type === 'comment') {
      const before = nodes[i - 1];
      dropBreak = !before || (before.type === 'text' && before.text.endsWith('\n'));
    } else if (dropBreak && node.type === 'text' && node.text.startsWith('\n')) {
      kept.push({ ...node, text: node.text.slice(1) });
      dropBreak = false;
    } else {
      kept.push(node);
      dropBreak = false;
    }
  }
  return kept;
}

/** A copy of a node stands where the node stood. */
function copyPlace<T extends object>(from: T, to: T, scope: Scope): T {
  const place = scope.places.get(from);
  if (place && from !== to) scope.places.set(to, place);
  return to;
}

function compileMark(mark: Mark, inner: Piece, scope: Scope): Piece {
  if (mark.type !== 'link') {
    return (run) => {
      run.words.beginMark(mark);
      inner(run);
      run.words.endMark(mark);
    };
  }
  const addressOf = compileLine(mark.address, scope, AddressWriter);
  const { button, styles } = mark;
  return (run) => {
    const address = safeAddress(addressOf(run));
    const link = address !== undefined && ({ type: 'link', address, button, styles } as const);
    if (link) run.words.beginMark(link);
    inner(run);
    if (link) run.words.endMark(link);
  };
}

const SIGNATURE = { type: 'signature' } as const;

function compileNode(node: Exclude<Inline, Text>, scope: Scope): Piece {
  switch (node.type) {
    case 'break':
      return (run) => run.words.lineBreak();
    case 'field':
      return compileField(node, scope);
    case 'blank':
      return compileBlank(node, scope);
    case 'gap':
    case 'unfinished':
      return compileOpen(node, scope);
    case 'signature': {
      const part = nextPart(scope);
      return (run) => {
        const value = signatureOf(run);
        const id = placeId(part, run);
        run.notes?.push({
          id,
          path: 'signature',
          label: 'signature',
          value,
          raw: value,
          steps: [],
          record: `member:${run.situation.sender.key}`,
          reason: 'whoever the letter comes from',
        });
        // Whoever signs is seen by the signature itself: it is no field to be looked up.
        run.words.beginMark(SIGNATURE);
        run.words.value(value);
        run.words.endMark(SIGNATURE);
      };
    }
    case 'image':
      return compileImage(node, scope);
    case 'section':
      return compileSection(node, scope, compileWords);
    case 'when':
      return compileWhen(node, scope, compileWords);
    case 'passage':
      return compileInlinePassage(node, scope);
    case 'comment':
      return () => {};
  }
}

function compileField(node: Field, scope: Scope): Piece {
  const path = resolvePath(node.path, scope);
  if (typeof path === 'string') return refused(node, path, scope);
  const steps = compileSteps(node.steps, path.type, scope, path.shownAs);
  if (typeof steps === 'string') return refused(node, steps, scope);
  if (steps.type.kind === 'record') return refused(node, wholeRecord(steps.type, scope, node.path), scope);
  const place = placeOf(scope, node);
  const ownerOf = ownerReference(path, scope);
  const { read, label, type } = path;
  const done = stepsInWords(node.steps);
  const nameOfOwner = steps.type.kind === 'image' ? ownerName(path) : undefined;
  const part = nextPart(scope);
  return (run) => {
    const id = placeId(part, run);
    const stored = read(run);
    let value = writeValue(id, stored, steps, run, nameOfOwner?.(run));
    if (value === undefined) {
      const hole = missingFact(path, run);
      run.holes.push({ id, kind: 'field', ...hole, ...place });
      run.words.hole(id, 'field', hole.label);
      value = `[${hole.label}]`;
    }
    if (!run.notes) return;
    const raw = rawOf(stored, type, run.book.zone);
    const record = ownerOf(run);
    const reason = path.reason(run);
    run.notes.push(
      record === undefined
        ? { id, path: path.path, label, value, raw, steps: done, reason }
        : { id, path: path.path, label, value, raw, steps: done, record, reason },
    );
  };
}

function stepsInWords(steps: readonly Step[]): string[] {
  return steps.map((step) => printSteps([step]).slice(' | '.length));
}

/** Writes what a field or an answer says; undefined, and nothing written, where it is missing. */
function writeValue(
  id: string,
  stored: unknown,
  { apply, text, show, fallback }: CompiledSteps,
  run: Run,
  owner?: string,
): string | undefined {
  const value = apply ? apply(stored, run) : stored;
  const missing = isMissing(value);
  if (missing && fallback === undefined) return undefined;
  const { words } = run;
  words.beginValue(id);
  let said;
  if (missing || text) words.value((said = missing ? fallback! : text!(value as never, run)));
  else said = show(value as never, run, words, owner);
  words.endValue(id);
  return said;
}

function compileBlank(node: Blank, scope: Scope): Piece {
  const definition = scope.blanks.get(node.name)!;
  const type = typeOfBlank(definition.answer);
  const steps = compileSteps(node.steps, type, scope);
  if (typeof steps === 'string') return refused(node, steps, scope);
  const place = placeOf(scope, node);
  const { name, preset } = definition;
  const done = stepsInWords(node.steps);
  const part = nextPart(scope);
  return (run) => {
    const id = placeId(part, run);
    const answer = run.answers.get(name);
    let value = writeValue(id, answer, steps, run);
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
    const raw = rawOf(answer, type, run.book.zone);
    run.notes.push({ id, path: name, label: name, value, raw, steps: done, reason });
  };
}

/** A gap or an unfinished part: its words stand there, and it is a hole. */
function compileOpen(node: Gap | Unfinished, scope: Scope): Piece {
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

function compileImage(node: Image, scope: Scope): Piece {
  const sourceOf = compileLine(node.source, scope);
  const descriptionOf = compileLine(node.description, scope);
  const linkOf = node.link && compileLine(node.link, scope, AddressWriter);
  const { width, styles } = node;
  return (run) => {
    const link = linkOf && safeAddress(linkOf(run));
    const look = { source: sourceOf(run), description: descriptionOf(run) };
    run.words.image({
      ...look,
      ...(width === undefined ? {} : { width }),
      ...(link === undefined ? {} : { link }),
      ...(styles ? { styles } : {}),
    });
  };
}

function compileInlinePassage(node: PassageUse, scope: Scope): Piece {
  const entered = enterPassage(node, scope);
  if (!entered) return () => {};
  const blocks = entered.used.passage.document.content.filter((block) => block.type !== 'comment');
  const [only] = blocks;
  if (blocks.length === 0) return () => {};
  if (blocks.length > 1 || only?.type !== 'paragraph') {
    const message = `The passage “${node.name}” is more than one paragraph: put {{> ${node.name}}} on a line of its own.`;
    return refused(node, message, scope);
  }
  return compileWords(only.content, entered.scope);
}

function refused(node: object, message: string, scope: Scope): Piece {
  report(scope, node, message);
  return () => {};
}
