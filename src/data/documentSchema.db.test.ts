import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { LineIndex } from '../core/problems/problem';
import { readMarkdown } from '../core/template/text/readMarkdown';
import {
  MIGRATIONS,
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
  for (const [name, end] of [
    ['0013-one-document-schema', 'update template_version'],
    ['0016-signatures-are-documents', 'alter table'],
    ['0017-passages-by-key', 'update template_version'],
  ] as const) {
    const migration = await readFile(path.join(MIGRATIONS, `${name}.sql`), 'utf8');
    await database.sequelize.query(migration.slice(0, migration.indexOf(end)));
  }
});
afterAll(() => database.drop());

const text = (words: string, ...marks: object[]) => ({
  type: 'text',
  text: words,
  ...(marks.length ? { marks } : {}),
});
const field = (path: string, ...steps: object[]) => ({ type: 'field', path, steps });
const words = (...content: object[]) => ({ type: 'paragraph', content });
const cell = (...content: object[]) => ({ type: 'tableCell', content });
const item = (...content: object[]) => ({ type: 'listItem', content });
const condition = { join: 'and', clauses: [{ path: 'invoice.is_paid', steps: [] }] };

/** How documents were kept before, beside the text that says the same. */
const BEFORE: [text: string, document: object[]][] = [
  ['# Head\n\n---\n', [{ type: 'heading', level: 1, content: [text('Head')] }, { type: 'rule' }]],
  ['> x\n', [{ type: 'quote', content: [words(text('x'))] }]],
  [
    '```de\na {{client.name}}\n```\n\n```\nb\n```\n',
    [
      { type: 'code', language: 'de', content: [text('a '), field('client.name')] },
      { type: 'code', language: '', content: [text('b')] },
    ],
  ],
  [
    '- a\n{{#invoice.lines | first 3}}\n- b\n{{/invoice.lines}}\n',
    [
      {
        type: 'bulletList',
        tight: true,
        content: [
          item(words(text('a'))),
          {
            type: 'section',
            path: 'invoice.lines',
            steps: [{ step: 'first', count: 3 }],
            inverted: false,
            content: [item(words(text('b')))],
          },
        ],
      },
    ],
  ],
  [
    '3. a\n\n4. b\n',
    [
      {
        type: 'orderedList',
        tight: false,
        start: 3,
        content: [item(words(text('a'))), item(words(text('b')))],
      },
    ],
  ],
  [
    '1. a\n2. b\n',
    [
      {
        type: 'orderedList',
        tight: true,
        start: 1,
        content: [item(words(text('a'))), item(words(text('b')))],
      },
    ],
  ],
  [
    '| A | B |\n|---|--:|\n| x | {{client.name}} |\n',
    [
      {
        type: 'table',
        align: [null, 'right'],
        header: [cell(text('A')), cell(text('B'))],
        content: [{ type: 'tableRow', content: [cell(text('x')), cell(field('client.name'))] }],
      },
    ],
  ],
  [
    '{{#when invoice.is_paid}}\na\n{{otherwise}}\nb\n{{/when}}\n\n{{^invoice.notes}}\nc\n{{/invoice.notes}}\n',
    [
      { type: 'when', condition, content: [words(text('a'))], otherwise: [words(text('b'))] },
      {
        type: 'section',
        path: 'invoice.notes',
        steps: [],
        inverted: true,
        content: [words(text('c'))],
      },
    ],
  ],
  [
    'Hi {{#when invoice.is_paid}}you{{/when}}\n',
    [words(text('Hi '), { type: 'when', condition, content: [text('you')] })],
  ],
  ['::: {.center}\nx\n:::\n', [{ type: 'styled', styles: ['center'], content: [words(text('x'))] }]],
  [
    '{{> How to pay}}\n\n{{! note }}\n\n{{? Rate : money = 65}} {{gap "x"}} {{unfinished "y"}} {{signature}}\n',
    [
      { type: 'passage', name: 'How to pay' },
      { type: 'comment', words: 'note' },
      words(
        { type: 'blank', name: 'Rate', answer: { kind: 'money' }, default: '65', steps: [] },
        text(' '),
        { type: 'gap', words: 'x' },
        text(' '),
        { type: 'unfinished', words: 'y' },
        text(' '),
        { type: 'signature' },
      ),
    ],
  ],
  [
    '**a** `b` [c]{.large} [d](https://x.example/{{client.name}} "t"){.button .madder} ![e](p.png){width=240 link=https://x.example}\n',
    [
      words(
        text('a', { type: 'bold' }),
        text(' '),
        text('b', { type: 'code' }),
        text(' '),
        text('c', { type: 'style', style: 'large' }),
        text(' '),
        text('d', {
          type: 'link',
          address: [text('https://x.example/'), field('client.name')],
          title: 't',
          button: true,
          styles: ['madder'],
        }),
        text(' '),
        {
          type: 'image',
          source: [text('p.png')],
          description: [text('e')],
          width: 240,
          link: [text('https://x.example')],
        },
      ),
    ],
  ],
  [
    '[a](https://x.example)\n',
    [words(text('a', { type: 'link', address: [text('https://x.example')], button: false, styles: [] }))],
  ],
];

it('documents of the first schema become what their text reads as', async () => {
  for (const [source, content] of BEFORE) {
    const [row] = await database.sequelize.query<{ now: unknown }>(
      'select passages_by_key(document_of_schema_1($document::jsonb), null) as now',
      { bind: { document: JSON.stringify({ type: 'doc', content }) }, type: QueryTypes.SELECT },
    );
    const problems: never[] = [];
    const document = readMarkdown(source, new LineIndex(source, 't'), new WeakMap(), problems);
    expect(problems, source).toEqual([]);
    expect(row!.now, source).toEqual(document);
  }
});

it('a signature that was plain text becomes what its lines read as', async () => {
  for (const [written, source] of [
    ['Imke Sandoval', 'Imke Sandoval\n'],
    ['A\nB · {{sender.phone}}{{business.name}}\n', 'A\\\nB · {{sender.phone}}{{business.name}}\n'],
  ]) {
    const [row] = await database.sequelize.query<{ now: unknown }>(
      'select document_of_signature($written) as now',
      {
        bind: { written },
        type: QueryTypes.SELECT,
      },
    );
    expect(row!.now).toEqual(readMarkdown(source!, new LineIndex(source!, 's'), new WeakMap(), []));
  }
});

it('a passage that was kept by its name is kept by its key, wherever it stands', async () => {
  const use = (attrs: object) => ({ type: 'passage', attrs });
  const among = (one: object) => ({
    subject: [one],
    list: [{ type: 'paragraph', content: [one] }, 'x', 7, null],
  });
  const [row] = await database.sequelize.query<{ now: unknown }>(
    'select passages_by_key($node::jsonb, id) as now from business limit 1',
    { bind: { node: JSON.stringify(among(use({ name: 'Before we come' }))) }, type: QueryTypes.SELECT },
  );
  expect(row!.now).toEqual(among(use({ passage: 'before-we-come' })));
});
