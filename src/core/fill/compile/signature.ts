import { fullName } from '../../people/names';
import type { Signature } from '../../template/template';
import { phoneNumber } from '../formats/phone';
import { nextPart, type Scope } from '../paths/scope';
import { placeId, type Emit, type Run } from '../run';
import { LineWriter } from '../write/lineWriter';
import type { CompileAll } from './structure';
import type { Inline } from '../../document/templateDocument';

const SIGNATURE = { type: 'signature' } as const;

/** A signature made ready: it has fields of its own, which are found anew for whoever signs. */
interface CompiledSignature {
  signature: Signature;
  /** the lines of its paragraphs */
  paragraphs: Emit[];
  slots: number;
}

/**
 * Compiles the place where a letter is signed: with the usual signature of whoever it comes from, else with the house's,
 * else with their full name, title, the business's name, phone and email, one a line.
 */
export function compileSignature(scope: Scope, words: CompileAll<Inline>): Emit {
  if (!scope.signs) return () => {};
  const part = nextPart(scope);
  const compiled = scope.signatures.map((signature) => compileOne(signature, part, scope, words));
  return (run) => {
    const { sender } = run.situation;
    const own = compiled.find(({ signature }) => signature.usual && signature.member === sender.key);
    const ready =
      own ?? (sender.signature ? undefined : compiled.find((one) => one.signature.member === undefined));
    const plain = ready ? undefined : plainSignature(run);
    if (run.notes) {
      const value = plain ?? wordsOfSignature(ready!, run);
      run.notes.push({
        id: placeId(part, run),
        path: 'signature',
        label: 'signature',
        said: 'signature',
        value,
        raw: value,
        steps: [],
        record: `member:${sender.key}`,
        reason:
          ready && !own ? 'the house’s, for whoever has none of their own' : 'whoever the letter comes from',
      });
    }
    // Whoever signs is seen by the signature itself: it is no field to be looked up.
    run.words.beginMark(SIGNATURE);
    if (plain !== undefined) run.words.value(plain);
    else sign(ready!, run);
    run.words.endMark(SIGNATURE);
  };
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
    signs: false,
    blanks: new Map(),
    places: new WeakMap(),
    file: signature.name,
    // What is counted of it does not change what the parts of the template are called.
    tally: {
      of: `${part}~`,
      parts: 0,
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
