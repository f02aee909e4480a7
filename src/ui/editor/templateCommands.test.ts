import { getSchema, type Editor } from '@tiptap/core';
import type { Node } from '@tiptap/pm/model';
import { AllSelection, EditorState, NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state';
import { describe, expect, it } from 'vitest';
import type { Condition } from '../../core/document/step';
import { LineIndex } from '../../core/problems/problem';
import { expressible } from '../../core/template/text/expressible';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { readMarkdown } from '../../core/template/text/readMarkdown';
import { seeded } from '../../core/test/seeded';
import { onlyWhen, putBlock, turnOtherwise, unwrap } from './structureCommands';
import { fromEditor, kindInDocument, toEditor } from './structures';
import { changeTable, TABLE_ACTS } from './tableCommands';
import { changeFields, fieldsIn, putPicture, putTag, setAttributes, takeOut } from './templateCommands';
import { TEMPLATE_MARKS, templateNodes } from './templateNodes';

const pencil = { current: { labels: {}, passages: new Map() } };
const schema = getSchema([...templateNodes(pencil, { hasSubject: true }), ...TEMPLATE_MARKS]);
const HOLDS: Condition = { join: 'and', clauses: [{ path: 'invoice.is_paid', steps: [] }] };

const read = (text: string) => {
  const problems: { message: string }[] = [];
  const document = readMarkdown(text, new LineIndex(text, 't'), new WeakMap(), problems as never);
  expect(problems, text).toEqual([]);
  return document;
};

/** A page as commands see an editor: its state, and what becomes of it. */
class Page {
  state: EditorState;
  readonly schema = schema;
  readonly view = {
    dispatch: (transaction: Transaction) => {
      this.state = this.state.apply(transaction);
    },
    focus: () => {},
  };

  constructor(text: string, subject = 'on {{invoice.number}}') {
    const line = (read(subject).content[0] as { content: unknown[] }).content;
    const content = [{ type: 'subject', content: line }, ...read(text).content];
    this.state = EditorState.create({
      doc: schema.nodeFromJSON(toEditor({ type: 'doc', content } as never)),
    });
  }

  get editor(): Editor {
    return this as unknown as Editor;
  }

  /** The body's text form. */
  get text(): string {
    const { content = [] } = fromEditor(this.state.doc.toJSON() as { type: string });
    return printMarkdown(expressible({ type: 'doc', content: content.slice(1) })).trim();
  }

  /** Where something begins. */
  at(is: (node: Node) => boolean): number {
    let found = -1;
    this.state.doc.descendants((node, at) => {
      if (found < 0 && is(node)) found = at;
    });
    expect(found).toBeGreaterThanOrEqual(0);
    return found;
  }

  /** Selects words. */
  select(words: string): this {
    const at = this.at((node) => node.isText && node.text!.includes(words));
    const from = at + this.state.doc.nodeAt(at)!.text!.indexOf(words);
    const selection = TextSelection.create(this.state.doc, from, from + words.length);
    this.state = this.state.apply(this.state.tr.setSelection(selection));
    return this;
  }

  /** Puts the cursor behind words. */
  behind(words: string): this {
    this.select(words);
    const selection = TextSelection.create(this.state.doc, this.state.selection.to);
    this.state = this.state.apply(this.state.tr.setSelection(selection));
    return this;
  }
}

describe('putting things in', () => {
  it('a field takes the looks of the words around it, and the place of what is selected', () => {
    const page = new Page('Due **on the day** now.');
    page.select('the day');
    expect(putTag(page.editor, { type: 'field', attrs: { path: 'invoice.due_on', steps: [] } })).toBe(true);
    expect(page.text).toBe('Due **on {{invoice.due_on}}** now.');
  });

  it('what has no place where the cursor is, is refused', () => {
    const page = new Page('Words.');
    page.state = page.state.apply(page.state.tr.setSelection(TextSelection.create(page.state.doc, 1)));
    expect(putTag(page.editor, { type: 'signature' })).toBe(false);
    expect(putTag(page.editor, { type: 'field', attrs: { path: 'client.name', steps: [] } })).toBe(true);
  });

  it('a block comes behind the paragraph, and in the place of an empty one', () => {
    const page = new Page('One.\n\nTwo.').behind('One.');
    putBlock(page.editor, { type: 'rule' });
    expect(page.text).toBe('One.\n\n---\n\nTwo.');
    const passage = new Page('- item').behind('item');
    putBlock(passage.editor, { type: 'passage', attrs: { passage: 'P' } });
    expect(passage.text).toContain('{{> P}}');
  });
});

describe('only when', () => {
  it('holds the paragraphs that are touched, or the words that are selected', () => {
    const page = new Page('One.\n\nTwo.\n\nThree.').behind('Two.');
    onlyWhen(page.editor, HOLDS);
    expect(page.text).toBe('One.\n\n{{#when invoice.is_paid}}\nTwo.\n{{/when}}\n\nThree.');
    const words = new Page('Due soon, or later.').select(' soon');
    onlyWhen(words.editor, HOLDS);
    expect(words.text).toBe('Due{{#when invoice.is_paid}} soon{{/when}}, or later.');
  });

  it('holds a row of a table, but not its head', () => {
    const page = new Page('| A | B |\n|---|---|\n| c | d |').behind('c');
    onlyWhen(page.editor, HOLDS);
    expect(page.text).toContain('{{#when invoice.is_paid}}\n| c | d |\n{{/when}}');
    const head = new Page('| A | B |\n|---|---|\n| c | d |').behind('A');
    const before = head.text;
    onlyWhen(head.editor, HOLDS);
    expect(head.text).toBe(before);
  });

  it('says something otherwise, nothing any more, and stands always again', () => {
    const page = new Page('{{#when invoice.is_paid}}\nPaid.\n{{/when}}');
    const at = page.at(({ type }) => type.name === 'when');
    turnOtherwise(page.editor, at);
    page.state = page.state.apply(page.state.tr.insertText('Open.'));
    expect(page.text).toBe('{{#when invoice.is_paid}}\nPaid.\n{{otherwise}}\nOpen.\n{{/when}}');
    turnOtherwise(page.editor, at);
    expect(page.text).toBe('{{#when invoice.is_paid}}\nPaid.\n{{/when}}');
    unwrap(page.editor, at);
    expect(page.text).toBe('Paid.');
  });
});

it('a fact is changed in all its places in one step', () => {
  const page = new Page('{{client.name}} and {{client.name | upper}}, {{client.email}}.');
  const fields = fieldsIn(page.state.doc).filter(({ attrs }) => attrs.path === 'client.name');
  changeFields(
    page.editor,
    fields.map(({ at, attrs }) => ({ at, attrs: { ...attrs, path: 'recipient.name' } })),
  );
  expect(page.text).toBe('{{recipient.name}} and {{recipient.name | upper}}, {{client.email}}.');
});

it('a table gets and loses rows and columns; its head and last row stay', () => {
  const page = new Page('| A | B |\n|---|--:|\n| c | d |').behind('c');
  changeTable(page.editor, 'column beside');
  changeTable(page.editor, 'row below');
  expect(page.text).toBe('| A | | B |\n|---|---|--:|\n| c | | d |\n| | | |');
  page.behind('c');
  changeTable(page.editor, 'row out');
  page.behind('A');
  changeTable(page.editor, 'column out');
  changeTable(page.editor, 'row out');
  expect(page.text).toBe('| | B |\n|---|--:|\n| | |');
});

it('rows and columns are moved, the cursor with them; the head stays, and what depends on something stays together', () => {
  const page = new Page('| A | B |\n|---|--:|\n| c | d |\n| e | f |').behind('c');
  changeTable(page.editor, 'row up');
  changeTable(page.editor, 'row down');
  expect(page.text).toBe('| A | B |\n|---|--:|\n| e | f |\n| c | d |');
  changeTable(page.editor, 'column right');
  expect(page.text).toBe('| B | A |\n|--:|---|\n| f | e |\n| d | c |');
  changeTable(page.editor, 'row up');
  changeTable(page.editor, 'column left');
  expect(page.text).toBe('| A | B |\n|---|--:|\n| c | d |\n| e | f |');
  changeTable(page.editor, 'column left');
  page.behind('f');
  changeTable(page.editor, 'row down');
  expect(page.text).toBe('| A | B |\n|---|--:|\n| c | d |\n| e | f |');
});

const PICTURE = {
  source: [{ type: 'text', text: 'a'.repeat(64) }],
  description: [{ type: 'text', text: 'The lark' }],
  width: 120,
};

const TEXTS = [
  'Hello {{client.greeting_name}},\n\nit is *due* on {{invoice.due_on | long date}}.\n\n{{signature}}',
  '{{#when invoice.paid over 0}}\nThanks.\n{{otherwise}}\nNothing.\n{{/when}}\n\n> Quoted {{client.name}}\n\n---',
  '| A | B |\n|---|--:|\n{{#invoice.lines}}\n| {{description}} | {{amount}} |\n{{/invoice.lines}}\n\n- one\n- two {{#when invoice.is_paid}}x{{otherwise}}y{{/when}}',
  '{{> How to pay}}\n\n{{#client.tags}}\n- {{.}}\n{{/client.tags}}\n\n1. first\n\n   second\n2. {{? Rate : money}}',
  '::: {.center}\n# Head {{gap "x"}}\n:::\n\n```\ncode {{client.name}}\n```\n\n{{#client.unpaid_invoices}}\nOf {{number}}.\n{{/client.unpaid_invoices}}',
];

it('every command leaves a document that reads, wherever the cursor is', () => {
  const random = seeded(20_261_127);
  const whole = (most: number) => Math.floor(random() * most);
  const commands: ((page: Page) => void)[] = [
    ({ editor }) => putTag(editor, { type: 'field', attrs: { path: 'client.name', steps: [] } }),
    ({ editor }) =>
      putTag(editor, { type: 'blank', attrs: { name: 'A', answer: { kind: 'text' }, steps: [] } }),
    ({ editor }) => putTag(editor, { type: 'signature' }),
    ({ editor }) => putBlock(editor, { type: 'rule' }),
    ({ editor }) => putBlock(editor, { type: 'passage', attrs: { passage: 'P' } }),
    ({ editor }) =>
      putBlock(editor, {
        type: 'bulletList',
        content: [{ type: 'listItem', content: [{ type: 'paragraph' }] }],
      }),
    ({ editor }) => onlyWhen(editor, HOLDS),
    ...TABLE_ACTS.map((act) => (page: Page) => changeTable(page.editor, act)),
    (page) => putPicture(page.editor, whole(page.state.doc.content.size + 1), PICTURE),
    (page) => structures(page).forEach((at, i) => i === 0 && turnOtherwise(page.editor, at)),
    (page) => {
      const all = things(page);
      if (all.length) unwrapOrOut(page, all[whole(all.length)]!);
    },
    (page) => {
      const [field] = fieldsIn(page.state.doc);
      if (field) setAttributes(page.editor, field.at, { path: 'client.email' });
    },
  ];
  const unwrapOrOut = (page: Page, at: number) => {
    const name = kindInDocument(page.state.doc.nodeAt(at)!.type.name);
    if (random() < 0.5 && ['when', 'section'].includes(name)) unwrap(page.editor, at);
    else takeOut(page.editor, at);
  };
  for (let round = 0; round < 150; round++) {
    const page = new Page(TEXTS[whole(TEXTS.length)]!);
    for (let i = 0; i < 4; i++) {
      const { doc, tr } = page.state;
      const [a, b] = [whole(doc.content.size), whole(doc.content.size)];
      const one = TextSelection.near(doc.resolve(a));
      const kind = random();
      const selection =
        kind < 0.6
          ? one
          : kind < 0.95
            ? TextSelection.between(one.$from, doc.resolve(b))
            : new AllSelection(doc);
      page.state = page.state.apply(tr.setSelection(selection));
      commands[whole(commands.length)]!(page);
      page.state.doc.check();
      // What stands there can be written as text, which reads without a problem.
      const once = printMarkdown(read(page.text));
      expect(printMarkdown(read(once))).toBe(once);
    }
  }
});

function things({ state }: Page): number[] {
  const all: number[] = [];
  state.doc.descendants((node, at) => {
    if (
      NodeSelection.isSelectable(node) &&
      node.type.name !== 'subject' &&
      kindInDocument(node.type.name) !== 'branch'
    )
      if (node.isAtom || ['when', 'section'].includes(kindInDocument(node.type.name))) all.push(at);
  });
  return all;
}

function structures({ state }: Page): number[] {
  const all: number[] = [];
  state.doc.descendants((node, at) => {
    if (kindInDocument(node.type.name) === 'when') all.push(at);
  });
  return all;
}
