import type { Image as MarkdownImage, Link as MarkdownLink, PhrasingContent } from 'mdast';
import type { Break, Image, Inline, Line, Mark, Text } from '../../document/templateDocument';
import { sortMarks } from '../../document/marks';
import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { isStructure, type StructureTag, type Tag } from '../tags/tag';
import { pairTags } from './pairTags';
import { heldIndex, PLACEHOLDERS, type Held } from './placeholders';
import { readAttributes, type Attributes } from './readAttributes';

/** A run of words before brackets and attributes have found each other. */
type Phrase =
  | { kind: 'words'; text: string }
  | { kind: 'held'; held: Held }
  | { kind: 'node'; node: Exclude<PhrasingContent, { type: 'text' }>; attributes?: Attributes }
  | { kind: 'span'; attributes: Attributes; phrases: Phrase[] };

/** Deeper marks than this are refused. */
const DEEPEST_MARKS = 100;

/** Turns Markdown's phrasing content into inline words with marks, the placeholders into their tags. */
export class WordReader {
  private depth = 0;

  constructor(
    private readonly held: readonly Held[],
    private readonly lines: PlaceFinder,
    private readonly places: Places,
    private readonly problems: Problem[],
    private readonly definitions: ReadonlyMap<string, string>,
  ) {}

  read(nodes: readonly PhrasingContent[], marks: readonly Mark[] = []): Inline[] {
    return this.inline(this.phrases(nodes), marks);
  }

  /** Words in which Markdown means nothing: fields are filled, a literal `{{` is one, all else stands as written. */
  readVerbatim(text: string, marks: readonly Mark[] = []): Line {
    const run: (Inline | StructureTag)[] = [];
    for (const part of text.split(PLACEHOLDERS)) {
      const one = this.heldBy(part);
      if (one?.kind === 'tag') {
        const tag = this.another(one.tag);
        run.push(isStructure(tag) ? tag : marked(tag, marks));
      } else appendText(run, one ? (one.raw === '\\{{' ? '{{' : one.raw) : part, marks);
    }
    return pairTags(run, this.places, this.problems);
  }

  /** An address that is its own words is read twice: a tag in it must not be the same node in both places. */
  private another(tag: Tag): Tag {
    const copy = { ...tag };
    const place = this.places.get(tag);
    if (place) this.places.set(copy, place);
    return copy;
  }

  private phrases(nodes: readonly PhrasingContent[]): Phrase[] {
    const phrases: Phrase[] = [];
    for (const node of nodes) {
      if (node.type !== 'text') {
        phrases.push({ kind: 'node', node });
        continue;
      }
      for (const part of node.value.split(PLACEHOLDERS)) {
        const held = this.heldBy(part);
        if (held?.kind === 'attributes') this.attach(held, phrases);
        else if (held) phrases.push({ kind: 'held', held });
        else if (part) phrases.push({ kind: 'words', text: part });
      }
    }
    return phrases;
  }

  /** Gives attributes to the link or image before them, or to the words in brackets before them. */
  private attach(held: Extract<Held, { kind: 'attributes' }>, phrases: Phrase[]): void {
    const last = phrases.at(-1);
    const node = last?.kind === 'node' ? last.node.type : undefined;
    const open = last?.kind === 'words' && last.text.endsWith(']') ? openingBracket(phrases) : undefined;
    if (node !== 'link' && node !== 'image' && !open) {
      phrases.push({ kind: 'words', text: held.raw });
      return;
    }
    const attributes = readAttributes(held.raw, node === 'link' || node === 'image' ? node : 'words');
    if (Array.isArray(attributes)) {
      const place = this.lines.place(held.at);
      this.problems.push(...attributes.map((message) => ({ ...place, message })));
    } else if (last?.kind === 'node') last.attributes = attributes;
    else if (open) {
      const inside = cutFrom(phrases, open);
      phrases.push({ kind: 'span', attributes, phrases: inside });
    }
  }

  private inline(phrases: readonly Phrase[], marks: readonly Mark[]): Inline[] {
    if (++this.depth > DEEPEST_MARKS) {
      if (this.depth === DEEPEST_MARKS + 1) {
        this.problems.push({
          ...this.lines.place(0),
          message: `Words are marked more than ${DEEPEST_MARKS} deep.`,
        });
      }
      this.depth--;
      return [];
    }
    const run: (Inline | StructureTag)[] = [];
    for (const phrase of phrases) {
      if (phrase.kind === 'words') appendText(run, phrase.text, marks);
      else if (phrase.kind === 'held') {
        const { held } = phrase;
        if (held.kind === 'tag') run.push(isStructure(held.tag) ? held.tag : marked(held.tag, marks));
        else appendText(run, held.kind === 'literal' ? held.text : held.raw, marks);
      } else if (phrase.kind === 'span') {
        const styles = [
          ...phrase.attributes.styles.map((style): Mark => ({ type: 'style', attrs: { style } })),
          ...phrase.attributes.weights.map((type): Mark => ({ type })),
        ];
        append(run, this.inline(phrase.phrases, [...marks, ...styles]));
      } else append(run, this.node(phrase.node, phrase.attributes, marks));
    }
    this.depth--;
    return pairTags(run, this.places, this.problems);
  }

  private node(
    node: Exclude<PhrasingContent, { type: 'text' }>,
    attributes: Attributes | undefined,
    marks: readonly Mark[],
  ): Inline[] {
    switch (node.type) {
      case 'emphasis':
        return this.read(node.children, [...marks, { type: 'italic' }]);
      case 'strong':
        return this.read(node.children, [...marks, { type: 'bold' }]);
      case 'inlineCode':
        return this.readVerbatim(node.value, [...marks, { type: 'code' }]);
      case 'break':
        return [marked<Break>({ type: 'break' }, marks)];
      case 'link':
        return this.link(node, attributes, marks);
      case 'linkReference':
        return this.link(
          { ...node, type: 'link', url: this.definitions.get(node.identifier) ?? '' },
          attributes,
          marks,
        );
      case 'image':
        return [this.image(node, attributes, marks)];
      case 'imageReference': {
        const url = this.definitions.get(node.identifier) ?? '';
        return [this.image({ type: 'image', url, alt: node.alt }, attributes, marks)];
      }
      default:
        return [];
    }
  }

  private link(node: MarkdownLink, attributes: Attributes | undefined, marks: readonly Mark[]): Inline[] {
    const mark: Mark = {
      type: 'link',
      attrs: {
        address: this.readVerbatim(node.url),
        ...(node.title ? { title: this.raw(node.title) } : {}),
        ...(attributes?.button ? { button: true } : {}),
        ...(attributes?.styles.length ? { styles: attributes.styles } : {}),
      },
    };
    return this.read(node.children, [...marks, mark]);
  }

  private image(
    node: Pick<MarkdownImage, 'type' | 'url' | 'alt'>,
    attributes: Attributes | undefined,
    marks: readonly Mark[],
  ): Image {
    return marked<Image>(
      {
        type: 'image',
        attrs: {
          source: this.readVerbatim(node.url),
          description: this.readVerbatim(node.alt ?? ''),
          ...(attributes?.width === undefined ? {} : { width: attributes.width }),
          ...(attributes?.link === undefined ? {} : { link: this.readVerbatim(attributes.link) }),
          ...(attributes?.styles.length ? { styles: attributes.styles } : {}),
        },
      },
      marks,
    );
  }

  private heldBy(part: string): Held | undefined {
    const index = part ? heldIndex(part) : undefined;
    return index === undefined ? undefined : this.held[index];
  }

  private raw(text: string): string {
    return text.replace(PLACEHOLDERS, (char) => this.heldBy(char)?.raw ?? char);
  }
}

interface Opening {
  phrase: number;
  offset: number;
}

/** The bracket that the one at the very end closes. */
function openingBracket(phrases: readonly Phrase[]): Opening | undefined {
  let depth = 0;
  for (let i = phrases.length - 1; i >= 0; i--) {
    const phrase = phrases[i]!;
    if (phrase.kind !== 'words') continue;
    for (let offset = phrase.text.length - 1; offset >= 0; offset--) {
      if (phrase.text[offset] === ']') depth++;
      else if (phrase.text[offset] === '[' && --depth === 0) return { phrase: i, offset };
    }
  }
  return undefined;
}

/** Takes what stands between the opening bracket and the last one out of the run, without the brackets. */
function cutFrom(phrases: Phrase[], { phrase, offset }: Opening): Phrase[] {
  const inside = phrases.splice(phrase);
  const first = inside[0] as Extract<Phrase, { kind: 'words' }>;
  if (offset > 0) phrases.push({ kind: 'words', text: first.text.slice(0, offset) });
  inside[0] = { kind: 'words', text: first.text.slice(offset + 1) };
  const last = inside.at(-1) as Extract<Phrase, { kind: 'words' }>;
  inside[inside.length - 1] = { kind: 'words', text: last.text.slice(0, -1) };
  return inside.filter((one) => one.kind !== 'words' || one.text !== '');
}

function marked<T extends Inline>(node: T, marks: readonly Mark[]): T {
  if (marks.length) (node as { marks?: Mark[] }).marks = sortMarks(marks);
  return node;
}

function append(run: (Inline | StructureTag)[], nodes: readonly Inline[]): void {
  for (const node of nodes) {
    if (node.type === 'text') appendText(run, node.text, node.marks ?? []);
    else run.push(node);
  }
}

function appendText(run: (Inline | StructureTag)[], text: string, marks: readonly Mark[]): void {
  if (!text) return;
  const last = run.at(-1);
  if (last?.type === 'text' && JSON.stringify(last.marks ?? []) === JSON.stringify(sortMarks(marks)))
    last.text += text;
  else run.push(marked<Text>({ type: 'text', text }, marks));
}
