import { getSchema } from '@tiptap/core';
import {
  Fragment,
  type ContentMatch,
  type Mark,
  type Node,
  type NodeType,
  type Schema,
} from '@tiptap/pm/model';
import { describe, expect, it } from 'vitest';
import { LineIndex } from '../../core/problems/problem';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { readMarkdown } from '../../core/template/text/readMarkdown';
import { expressible } from '../../core/template/text/expressible';
import { seeded } from '../../core/test/seeded';
import { fromEditor, toEditor } from './structures';
import { templateNodes, TEMPLATE_MARKS } from './templateNodes';

const pencil = { current: { labels: {}, passages: new Map() } };
const schema = getSchema([...templateNodes(pencil, { hasSubject: false }), ...TEMPLATE_MARKS]);

function read(text: string): TemplateDocument {
  const problems: { message: string }[] = [];
  const document = readMarkdown(text, new LineIndex(text, 't'), new WeakMap(), problems as never);
  expect(problems, text).toEqual([]);
  return document;
}

/** Any document that a schema allows, by walking its content expressions. */
class Documents {
  private readonly random: () => number;

  constructor(
    private readonly of: Schema,
    seed: number,
  ) {
    this.random = seeded(seed);
  }

  one(): Node {
    return this.node(this.of.topNodeType, 0);
  }

  private pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.random() * all.length)]!;
  }

  private node(type: NodeType, depth: number, inCode = false): Node {
    const content: Node[] = [];
    let match: ContentMatch = type.contentMatch;
    while (match.edgeCount && content.length < 4 && !(match.validEnd && this.random() < 0.35)) {
      const edges = Array.from({ length: match.edgeCount }, (_, i) => match.edge(i));
      const small = edges.filter((edge) => edge.type.isText || edge.type.isLeaf || edge.type.isTextblock);
      const { type: child, next } = this.pick(depth > 3 && small.length ? small : edges);
      content.push(child.isText ? this.text(type) : this.node(child, depth + 1, type.spec.code));
      match = next;
    }
    // Two texts beside each other are one, as an editor has them.
    const given = Fragment.from(content);
    const rest = match.fillBefore(Fragment.empty, true) ?? Fragment.empty;
    return type.create(
      this.attributes(type.name),
      given.append(rest),
      type.isInline && !inCode ? this.marks() : undefined,
    );
  }

  private text(parent: NodeType): Node {
    const words = [
      'a',
      'two words',
      '*stars*',
      '{{',
      '{',
      ' ',
      ' edge ',
      '<b>',
      '[x](y)',
      '1. ',
      '- ',
      '# ',
      '|',
      '&amp;',
      '\\',
      '`',
      'é🙂',
      '::: {.center}',
      '---',
      '_',
      '~',
      '!',
      '}}',
    ];
    const text = Array.from({ length: 1 + Math.floor(this.random() * 3) }, () => this.pick(words)).join('');
    // Before braces a backslash cannot be told from theirs where Markdown means nothing.
    const plain = parent.spec.code ? text.replaceAll('\\', '').replace(/\{+$/, '') + '.' : text;
    return this.of.text(plain, parent.spec.code ? [] : this.marks());
  }

  private marks(): Mark[] {
    const address = [{ type: 'text', text: 'https://x.example/a' }];
    const all = [
      () => this.of.mark('bold'),
      () => this.of.mark('italic'),
      () => this.of.mark('style', { style: this.pick(['large', 'moss', 'underline']) }),
      () => this.of.mark('link', { address, title: undefined, button: this.random() < 0.5, styles: [] }),
    ];
    return all
      .filter(() => this.random() < 0.15)
      .map((make) => make())
      .sort((a, b) => a.type.name.localeCompare(b.type.name));
  }

  private attributes(name: string): Record<string, unknown> {
    const path = this.pick(['client.name', 'invoice.total', '.']);
    const steps = this.pick([
      [],
      [{ step: 'or', words: 'a | "b" }}' }],
      [{ step: 'plus', amount: 3, unit: 'working day' }, { step: 'long date' }],
    ]);
    if (/section$/i.test(name))
      return { path: this.pick(['invoice.lines', 'client']), steps: [], inverted: this.random() < 0.3 };
    if (/comment$/i.test(name)) return { words: this.pick(['c', 'a longer comment']) };
    if (/passage$/i.test(name)) return { passage: this.pick(['How to pay', 'P']) };
    switch (name) {
      case 'heading':
        return { level: 1 + Math.floor(this.random() * 6) };
      case 'orderedList':
        return { start: this.pick([1, 3]), tight: this.random() < 0.5 };
      case 'bulletList':
        return { tight: this.random() < 0.5 };
      case 'table':
        return { align: [this.pick([null, 'left', 'right', 'center'])] };
      case 'styled':
        return { styles: this.pick([['center'], ['large', 'moss'], []]) };
      case 'field':
        return { path, steps };
      case 'blank':
        return { name: this.pick(['A', 'Hourly rate']), answer: { kind: 'text' }, steps: [] };
      case 'gap':
      case 'unfinished':
        return { words: this.pick(['x', 'a "quoted" word']) };
      case 'image':
        return { source: [{ type: 'text', text: 'v.png' }], description: [{ type: 'text', text: 'A view' }] };
      default:
        return {};
    }
  }
}

const letters = (node: unknown): string =>
  JSON.stringify(node, (key, value: unknown) => (key === 'marks' ? undefined : value))
    .match(/"text":"((?:[^"\\]|\\.)*)"/g)
    ?.join('')
    .replace(/"text":"|"|\s/g, '') ?? '';

/** Whether a list is tight is not always to be told. */
const withoutSpacing = (document: TemplateDocument): unknown =>
  JSON.parse(
    JSON.stringify(document, (key, value: unknown) =>
      key === 'tight' || (key === 'attrs' && Object.keys(value as object).join() === 'tight')
        ? undefined
        : value,
    ),
  );

describe('the editor’s document and the text form are two faces of one model', () => {
  it('every document that the editor’s schema allows can be written as text, which reads without a problem and says the same', () => {
    const documents = new Documents(schema, 20_261_125);
    for (let i = 0; i < 300; i++) {
      const allowed = documents.one();
      allowed.check();
      const visual = allowed.toJSON() as { type: string };
      const document = expressible(fromEditor(visual));
      // Where the text has one way for what an editor has two, it takes its own; after that nothing changes.
      let text = printMarkdown(document);
      for (let round = 0; round < 3; round++) {
        const again = read(text);
        expect(letters(again), text).toBe(letters(document));
        text = printMarkdown(again);
      }
      expect(printMarkdown(read(text)), JSON.stringify(visual)).toBe(text);
    }
  });

  it('what was read is what the editor holds, and back', () => {
    const documents = new Documents(schema, 7);
    for (let i = 0; i < 200; i++) {
      const document = read(
        printMarkdown(expressible(fromEditor(documents.one().toJSON() as { type: string }))),
      );
      const visual = toEditor(document);
      expect(withoutSpacing(expressible(fromEditor(visual)))).toEqual(withoutSpacing(document));
    }
  });
});
