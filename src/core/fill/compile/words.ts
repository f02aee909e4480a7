import type { Image, Inline, Line, Mark, PassageUse, Text } from '../../document/templateDocument';
import { longestRun, markKey, withoutMark } from '../../document/marks';
import { refused, type Scope } from '../paths/scope';
import type { Emit, Run } from '../run';
import { safeAddress } from '../../document/safeAddress';
import { AddressWriter, LineWriter, MailboxWriter } from '../write/lineWriter';
import { literal, type Literal } from '../write/writer';
import { compileBlank } from './blank';
import { compileField, sayField, sayKeptField, type CompiledField } from './field';
import { compileOpen } from './openPart';
import { compileSignature } from './signature';
import { compileSection, compileWhen, enterPassage } from './structure';

/**
 * What a run of words is made of: by their types, words and fields are written without a call through a variable (7 % of
 * the time for HTML alone, 4 % for everything; docs/bench.md, “Fast paths”).
 */
type Part = Literal | CompiledField | { type: 'other'; write: Emit };

/** Compiles inline words; runs that share a mark are wrapped once. */
export function compileWords(nodes: readonly Inline[], scope: Scope): Emit {
  const parts: Part[] = [];
  const clean = withoutComments(nodes);
  for (let at = 0; at < clean.length;) {
    const { mark, length } = longestRun(clean, at);
    if (!mark) {
      const node = clean[at]!;
      parts.push(node.type === 'text' ? literal(node.text) : partOf(compileNode(node, scope)));
      at++;
      continue;
    }
    const key = markKey(mark);
    const inner = compileWords(
      clean.slice(at, at + length).map((node) => copyPlace(node, withoutMark(node, key), scope)),
      mark.type === 'link' ? { ...scope, inLink: true } : scope,
    );
    parts.push(partOf(compileMark(mark, inner, scope)));
    at += length;
  }
  const count = parts.length;
  return (run) => {
    for (let i = 0; i < count; i++) {
      const part = parts[i]!;
      switch (part.type) {
        case 'words':
          run.words.literal(part);
          break;
        case 'field':
          sayField(part, run);
          break;
        case 'kept field':
          sayKeptField(part, run);
          break;
        default:
          part.write(run);
      }
    }
  };
}

function partOf(compiled: Emit | CompiledField): Part {
  return typeof compiled === 'function' ? { type: 'other', write: compiled } : compiled;
}

/** Compiles a line to a text: a subject, a header, an address. */
export function compileLine(line: Line, scope: Scope, writer?: MakeWriter): (run: Run) => string {
  // An address is a line of its own, even that of a link.
  return asText(compileWords(line, { ...scope, inLink: false }), writer);
}

type MakeWriter = (run: Run) => LineWriter;

const plainLine: MakeWriter = () => new LineWriter();

/** Writes a link's address. */
const linkAddress: MakeWriter = (run) => new AddressWriter(run.formats.settings.home);

/** Writes a header's line of mail addresses. */
export const mailboxes: MakeWriter = () => new MailboxWriter();

/** What words say as one line of text. */
function asText(emit: Emit, writerFor = plainLine): (run: Run) => string {
  return (run) => {
    const before = run.words;
    const writer = writerFor(run);
    run.words = writer;
    emit(run);
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

function compileMark(mark: Mark, inner: Emit, scope: Scope): Emit {
  if (mark.type !== 'link') {
    return (run) => {
      run.words.beginMark(mark);
      inner(run);
      run.words.endMark(mark);
    };
  }
  const { attrs } = mark;
  const addressOf = compileLine(attrs.address, scope, linkAddress);
  return (run) => {
    const address = safeAddress(addressOf(run));
    const link = address !== undefined && ({ type: 'link', attrs: { ...attrs, address } } as const);
    if (link) run.words.beginMark(link);
    inner(run);
    if (link) run.words.endMark(link);
  };
}

function compileNode(node: Exclude<Inline, Text>, scope: Scope): Emit | CompiledField {
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
    case 'signature':
      return compileSignature(scope, compileWords);
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

function compileImage(node: Image, scope: Scope): Emit {
  const { source, description, link: leadsTo, width, styles } = node.attrs;
  const sourceOf = compileLine(source, scope);
  const descriptionOf = compileLine(description, scope);
  const linkOf = scope.inLink ? undefined : leadsTo && compileLine(leadsTo, scope, linkAddress);
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

function compileInlinePassage(node: PassageUse, scope: Scope): Emit {
  const entered = enterPassage(node, scope);
  if (!entered) return () => {};
  const blocks = entered.used.passage.document.content.filter((block) => block.type !== 'comment');
  const [only] = blocks;
  if (blocks.length === 0) return () => {};
  if (blocks.length > 1 || only?.type !== 'paragraph') {
    const { name } = entered.used.passage;
    const message = `The passage “${name}” is more than one paragraph: put {{> ${name}}} on a line of its own.`;
    return refused(node, message, scope);
  }
  return compileWords(only.content, entered.scope);
}
