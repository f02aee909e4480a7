import { fullName } from '../../people/names';
import type { Signature } from '../../template/template';
import { phoneNumber } from '../formats/phone';
import { nextPart, type Scope } from '../paths/scope';
import { placeId, type Emit, type Run } from '../run';
import { LineWriter } from '../write/lineWriter';
import type { CompileAll } from './structure';
import type { Inline } from '../../document/templateDocument';

/** What a head says that wants no signature. */
const NONE = 'none';

/** A signature made ready: it has fields of its own, which are found anew for whoever signs. */
interface CompiledSignature {
  signature: Signature;
  /** the lines of its paragraphs */
  paragraphs: Emit[];
  slots: number;
}

/**
 * Compiles the place where a letter is signed: with the signature that the head asks for; else with the usual one of whoever it
 * comes from, else with the house's usual one, else with their full name, title, the business's name, phone and email, one a
 * line.
 */
export function compileSignature(scope: Scope, words: CompileAll<Inline>): Emit {
  if (scope.signature === NONE) return () => {};
  const part = nextPart(scope);
  const asked = scope.signatures.filter(({ key }) => key === scope.signature);
  const wanted = asked.length ? asked : scope.signatures.filter(({ usual }) => usual);
  const compiled = wanted.map((signature) => compileOne(signature, part, scope, words));
  return (run) => {
    const { sender } = run.situation;
    const ready = asked.length ? compiled[0] : usualOf(compiled, run);
    const id = placeId(part, run);
    if (run.notes) {
      const value = ready ? wordsOfSignature(ready, run) : plainSignature(run);
      run.notes.push({
        id,
        path: 'signature',
        label: 'signature',
        said: 'signature',
        value,
        raw: value,
        steps: [],
        record: `member:${ready?.signature.member ?? sender.key}`,
        reason: asked.length
          ? `“${ready!.signature.name}”, which the template asks for`
          : reasonOf(ready?.signature, scope.signature),
      });
    }
    // Whoever signs is seen by the signature itself: it is no field to be looked up.
    const mark = { type: 'signature', attrs: { id } } as const;
    run.words.beginMark(mark);
    if (ready) sign(ready, run);
    else run.words.value(plainSignature(run));
    run.words.endMark(mark);
  };
}

/** The usual signature of whoever the letter comes from; the house's where they have none. */
function usualOf(
  compiled: readonly CompiledSignature[],
  { situation: { sender } }: Run,
): CompiledSignature | undefined {
  const of = (member: string | undefined) => compiled.find(({ signature }) => signature.member === member);
  return of(sender.key) ?? (sender.signature ? undefined : of(undefined));
}

function reasonOf(signature: Signature | undefined, missing: string | undefined): string {
  const whose =
    signature && signature.member === undefined
      ? 'the house’s, for whoever has none of their own'
      : 'whoever the letter comes from';
  return missing === undefined ? whose : `${whose}; there is no signature “${missing}”`;
}

function compileOne(
  signature: Signature,
  part: string,
  around: Scope,
  words: CompileAll<Inline>,
): CompiledSignature {
  const scope: Scope = {
    ...around,
    frames: [],
    inside: [],
    inLink: false,
    signature: NONE,
    blanks: new Map(),
    places: new WeakMap(),
    file: signature.name,
    // What is counted of it does not change what the parts of the template are called.
    naming: { of: `${part}~`, parts: 0 },
    tally: {
      slots: new Map(),
      slotCount: 0,
      keptCount: 0,
      problems: around.tally.problems,
    },
  };
  const paragraphs = signature.document.content.flatMap((block) =>
    block.type === 'paragraph' ? [words(block.content, scope)] : [],
  );
  return { signature, paragraphs, slots: scope.tally.slotCount };
}

/** Its paragraphs are lines of the place where it stands, an empty one between them. */
function sign({ paragraphs, slots }: CompiledSignature, around: Run): void {
  const run: Run = {
    ...around,
    owners: new Array<unknown>(slots),
    origins: new Array<undefined>(slots),
    kept: [],
  };
  paragraphs.forEach((paragraph, i) => {
    if (i > 0) {
      run.words.lineBreak();
      run.words.lineBreak();
    }
    paragraph(run);
  });
}

function wordsOfSignature(ready: CompiledSignature, run: Run): string {
  const line = new LineWriter();
  sign(ready, { ...run, notes: undefined, holes: [], words: line });
  return line.end();
}

function plainSignature({ situation: { sender }, book: { business }, formats }: Run): string {
  if (sender.signature) return sender.signature.trim();
  const phone = sender.phone || sender.mobile || business.phone;
  return [
    fullName(sender),
    sender.title,
    business.name,
    phone && phoneNumber(phone, 'local', formats.settings.home),
    sender.email || business.email,
  ]
    .filter(Boolean)
    .join('\n');
}
