import type { CopyDocument } from './copyDocument';
import {
  LETTER,
  listOf,
  readText,
  SAME_KIND,
  TEMPLATE,
  UnreadableDocument,
  type DocumentSchema,
  type NodeKind,
} from './kinds';
import { joined, sortMarks, type AnyMark } from './marks';
import type { TemplateDocument } from './templateDocument';

/** The largest document that is read, in nodes and in depth. */
const MOST_NODES = 20_000;
const DEEPEST = 50;

interface Json {
  type: string;
  attrs?: Record<string, unknown>;
  content?: Json[];
  text?: string;
  marks?: AnyMark[];
}

/**
 * Reads a fair copy that came from outside: an editor's state, a request. Everything in it is checked against what a
 * letter may contain, and attributes that are at their default are dropped, so that two copies that say the same are
 * the same.
 * @throws UnreadableDocument with a sentence when it is no fair copy
 */
export function readCopy(json: unknown): CopyDocument {
  const document = new DocumentReader(LETTER).read(json);
  const [subject, ...body] = document.content ?? [];
  if (subject?.type !== 'subject' || body.some(({ type }) => type === 'subject')) {
    throw new UnreadableDocument('A letter begins with its subject, and has one.');
  }
  return document as CopyDocument;
}

/**
 * Reads a template's document as an editor keeps it, in the same way. What its tags say is not checked: that is for the
 * text form.
 * @throws UnreadableDocument with a sentence when it is none
 */
export function readTemplateDocument(json: unknown): TemplateDocument {
  return new DocumentReader(TEMPLATE).read(json) as TemplateDocument;
}

class DocumentReader {
  private nodes = 0;

  constructor(private readonly schema: DocumentSchema) {}

  read(json: unknown): Json {
    return this.node(json, new Set(['doc']), undefined, 0);
  }

  /** @param siblings what may stand where the innermost structure around it stands */
  private node(
    json: unknown,
    allowed: ReadonlySet<string>,
    siblings: ReadonlySet<string> | undefined,
    depth: number,
  ): Json {
    const given = asObject(json);
    const type = given.type as string;
    if (!allowed.has(type)) throw new UnreadableDocument('Something in it stands where it has no place.');
    if (++this.nodes > MOST_NODES || depth > DEEPEST)
      throw new UnreadableDocument('The letter is too large.');
    const kind = this.schema.nodes[type]!;
    const node: Json = { type };
    const attrs = readAttributes(kind.attributes, asObject(given.attrs ?? {}));
    // It was the writer's own while its place was gone; it is back.
    if (attrs.origin !== undefined) delete attrs.behind;
    if (Object.keys(attrs).length) node.attrs = attrs;
    if (type === 'text') node.text = readText(given.text);
    if (allowed.has('text')) {
      const marks = listOf(given.marks ?? []).flatMap((mark) => this.mark(mark));
      if (marks.length) node.marks = sortMarks(marks);
    }
    if (!kind.content) return node;
    const among = kind.groups.length > 1 ? allowed : siblings;
    const inside = kind.content === SAME_KIND ? among! : insideOf(kind, this.schema);
    const content = listOf(given.content ?? []).map((child) => this.node(child, inside, among, depth + 1));
    node.content = inside.has('text') ? joined(content) : content;
    return node;
  }

  private mark(json: unknown): AnyMark[] {
    const { type, attrs } = asObject(json);
    if (typeof type !== 'string' || !Object.hasOwn(this.schema.marks, type))
      throw new UnreadableDocument('Something in it is marked in a way that no letter is.');
    const attributes = this.schema.marks[type]!;
    const names = Object.keys(attributes);
    if (names.length === 0) return [{ type } as AnyMark];
    const read = readAttributes(attributes, asObject(attrs));
    // A link that leads nowhere, and a style that there is not, are none.
    return read[names[0]!] === undefined ? [] : [{ type, attrs: read } as AnyMark];
  }
}

const known = new WeakMap<NodeKind, ReadonlySet<string>>();

/** The names of what may stand in a kind. */
function insideOf(kind: NodeKind, { nodes }: DocumentSchema): ReadonlySet<string> {
  let names = known.get(kind);
  if (!names) {
    const groups = kind.content.match(/\w+/g) ?? [];
    const all = groups.flatMap((word) =>
      word in nodes
        ? [word]
        : Object.keys(nodes).filter((name) => nodes[name]!.groups.includes(word as 'block')),
    );
    known.set(kind, (names = new Set(all)));
  }
  return names;
}

function readAttributes(
  attributes: NodeKind['attributes'],
  given: Record<string, unknown>,
): Record<string, unknown> {
  const read: Record<string, unknown> = {};
  for (const name in attributes) {
    const value = attributes[name]!.read(given[name] ?? undefined);
    if (value !== undefined) read[name] = value;
  }
  return read;
}

function asObject(json: unknown): Record<string, unknown> {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new UnreadableDocument('This is not a letter.');
  return json as Record<string, unknown>;
}
