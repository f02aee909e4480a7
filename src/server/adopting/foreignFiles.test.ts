import { describe, expect, it } from 'vitest';
import { ZipFile } from 'yazl';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import { readForeignFiles } from './foreignFiles';
import { NoTemplate } from './noTemplate';

const file = (name: string, words: string | Buffer) => ({ name, bytes: Buffer.from(words as string) });

async function read(...files: { name: string; bytes: Uint8Array }[]) {
  const { templates, left } = await readForeignFiles(files);
  return {
    left,
    templates: templates.map((one) => {
      if ('own' in one) return { file: one.file, name: one.own.head.name, own: true };
      if ('passage' in one) return { file: one.file, name: one.passage.name, passage: true };
      const { name, subject, document, besides } = one.foreign;
      const said = subject.map((word) => (word.type === 'text' ? word.text : '')).join('');
      return { file: one.file, name, subject: said, words: printMarkdown(document), besides };
    }),
  };
}

async function zipOf(files: Record<string, string | Buffer>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, words] of Object.entries(files)) zip.addBuffer(Buffer.from(words as string), name);
  zip.end();
  const chunks: Buffer[] = [];
  for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

const MAIL = (subject: string, body: string) =>
  `From: Somebody <a@b.example>\nSubject: ${subject}\nMIME-Version: 1.0\nContent-Type: text/plain; charset=utf-8\n\n${body}\n`;

describe('a file is what it holds', () => {
  it('plain text: its subject, its paragraphs, the ends of its lines', async () => {
    expect(
      (
        await read(
          file('first_reminder.txt', 'Subject: Late\r\n\r\nDear [Name],\r\nplease *pay*\r\n\r\nYours'),
        )
      ).templates,
    ).toEqual([
      {
        file: 'first_reminder.txt',
        name: 'first reminder',
        subject: 'Late',
        words: 'Dear \\[Name],\\\nplease \\*pay\\*\n\nYours\n',
        besides: [],
      },
    ]);
  });

  it('our own text form, as it is', async () => {
    const own = '---\nname: N\ngroup: G\nstarts from: client\nsubject: S\n---\nHello {{client.name}}\n';
    expect((await read(file('n.md', own))).templates).toEqual([{ file: 'n.md', name: 'N', own: true }]);
  });

  it('Markdown with another program’s head', async () => {
    const { templates } = await read(
      file('t.md', '---\ntitle: Thanks\nsubject: "Hi {{ first }}"\nlayout: x\n---\n**Hi** {{ first }}\n'),
    );
    expect(templates).toEqual([
      {
        file: 't.md',
        name: 'Thanks',
        subject: 'Hi {{ first }}',
        words: '**Hi** \\{{ first }}\n',
        besides: ['“layout” of its head'],
      },
    ]);
  });

  it('a page, in the encoding that it names', async () => {
    const page = Buffer.from(
      '<html><meta charset="iso-8859-2"><title>T</title><p>\xb1 <img src="x.png"></p>',
      'latin1',
    );
    expect((await read({ name: 'p', bytes: page })).templates).toEqual([
      { file: 'p', name: 'T', subject: 'T', words: 'ą\n', besides: ['the picture (x.png)'] },
    ]);
  });

  it('text that does not say its encoding', async () => {
    expect(
      (await read({ name: 'a.txt', bytes: Buffer.from('Gr\xfc\xdfe', 'latin1') })).templates[0],
    ).toMatchObject({ words: 'Grüße\n' });
    const utf16 = Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from('Grüße', 'utf16le')]);
    expect((await read({ name: 'a.txt', bytes: utf16 })).templates[0]).toMatchObject({ words: 'Grüße\n' });
  });

  it('a message with what is attached, and a mailbox of several', async () => {
    const { templates } = await read(
      file('m.eml', MAIL('Your [Service]', 'Hello [Name]')),
      file(
        'box',
        `From a@b Thu Nov 26 09:00:00 2026\n${MAIL('One', 'first')}\nFrom a@b Thu Nov 26 09:00:00 2026\n${MAIL('Two', '>From here')}`,
      ),
    );
    expect(templates.map(({ file: from, name, words }) => [from, name, words])).toEqual([
      ['m.eml', 'Your [Service]', 'Hello \\[Name]\n'],
      ['box, message 1', 'One', 'first\n'],
      ['box, message 2', 'Two', 'From here\n'],
    ]);
  });

  it('a zip of all sorts, each by itself; what is no text is named', async () => {
    const bytes = await zipOf({
      'a/one.txt': 'Hello [Name]',
      'two.html': '<p>Hello *|FNAME|*</p>',
      'three.eml': MAIL('S', 'x'),
      'logo.png': Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0]),
      'letter.docx': 'PK',
      '__MACOSX/a/._one.txt': 'x',
      '.DS_Store': 'x',
      'empty.txt': '',
    });
    const { templates, left } = await read({ name: 'z.zip', bytes });
    expect(templates.map(({ file: from }) => from)).toEqual([
      'z.zip/a/one.txt',
      'z.zip/two.html',
      'z.zip/three.eml',
    ]);
    expect(left).toEqual([
      { file: 'z.zip/logo.png', why: 'This is a picture.' },
      { file: 'z.zip/letter.docx', why: 'This is a word processor’s file: save it as HTML or as text.' },
      { file: 'z.zip/empty.txt', why: 'The file is empty.' },
    ]);
  });
});

describe('what cannot be read says where and why, and nothing is taken', () => {
  const whyNot = async (...files: { name: string; bytes: Uint8Array }[]) =>
    readForeignFiles(files).then(
      () => 'read',
      (error: unknown) => (error instanceof NoTemplate ? error.lines.join('\n') : String(error)),
    );

  it.each<[string, string | Buffer, string]>([
    ['empty.txt', '', 'empty.txt:1:1: The file is empty.'],
    ['blank.txt', ' \n\n', 'blank.txt:1:1: There are no words in it.'],
    ['a.pdf', '%PDF-1.7 …', 'a.pdf:1:1: This is a PDF, and no text.'],
    ['a.txt', Buffer.from([0x89, 0x50, 0x4e, 0x47]), 'a.txt:1:1: This is a picture, and no text.'],
    ['a.txt', 'a\u0000b', 'a.txt:1:1: This is a file of another kind, and no text.'],
    ['long.html', `<p>${'a'.repeat(5_000_000)}</p>`, 'long.html:1:1: A page of more than'],
    [
      'many.txt',
      '[Name] '.repeat(10_000),
      'many.txt:1:1: It has 10000 placeholders; a letter has at most 500.',
    ],
    ['wrong.md', '---\nname: N\nstarts from: cloud\n---\n', 'wrong.md:'],
    ['page.html', '<script>alert(1)</script>', 'page.html:1:1: There are no words in it.'],
    ['deep.md', `${'> '.repeat(100)}x`, 'More than 40 quotations and lists begin on this line.'],
  ])('%s', async (name, words, says) => {
    expect(await whyNot(file(name, words))).toContain(says);
  });

  it('a zip that is damaged, of which some is missing, or that unpacks to very much', async () => {
    const bytes = await zipOf({ 'a.txt': 'Hello '.repeat(500), 'b.txt': 'x' });
    expect(await whyNot({ name: 'z.zip', bytes: bytes.subarray(0, bytes.length - 30) })).toContain(
      'z.zip:1:1: The zip is damaged',
    );
    const bent = Buffer.from(bytes);
    bent.fill(0xff, 40, 60);
    expect(await whyNot({ name: 'z.zip', bytes: bent })).toContain('The zip is damaged');
    const bomb = await zipOf({ 'bomb.txt': Buffer.alloc(60_000_000, 32) });
    expect(bomb.length).toBeLessThan(100_000);
    expect(await whyNot({ name: 'z.zip', bytes: bomb })).toBe(
      'z.zip/bomb.txt: It unpacks to more than is read.',
    );
  });

  it('pictures come along where their content does: in a message, a page, a zip', async () => {
    const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 1]);
    const kept: Buffer[] = [];
    const keeper = {
      keep: async (content: Buffer) => ({ sha256: String(kept.push(content)).padStart(64, '0'), width: 900 }),
      here: async () => new Map(),
    };
    const mail = [
      'Subject: S',
      'MIME-Version: 1.0',
      'Content-Type: multipart/related; boundary=b',
      '',
      '--b',
      'Content-Type: text/html',
      '',
      '<p>a <img src="cid:logo@us" alt="Us" width="120"> <img src="cid:no" alt="Lost"></p>',
      '--b',
      'Content-Type: image/png',
      'Content-ID: <logo@us>',
      'Content-Transfer-Encoding: base64',
      '',
      PNG.toString('base64'),
      '--b--',
    ].join('\r\n');
    const bytes = await zipOf({
      'a/one.md': '![The one](../pictures/one.png)\n',
      'pictures/one.png': PNG,
      'm.eml': mail,
      'p.html': `<p><img src="data:image/png;base64,${PNG.toString('base64')}" alt="Within"></p>`,
    });
    const { templates, left } = await readForeignFiles([{ name: 'z.zip', bytes }], keeper);
    const read = templates.map((one) =>
      'foreign' in one ? [printMarkdown(one.foreign.document), one.foreign.besides] : [],
    );
    const at = (number: number) => String(number).padStart(64, '0');
    expect(read).toEqual([
      [`![The one](${at(1)}){width=600}\n`, []],
      [`a ![Us](${at(2)}){width=120}\n`, ['the picture “Lost” (cid:no)']],
      [`![Within](${at(3)}){width=600}\n`, []],
    ]);
    expect(kept).toEqual([PNG, PNG, PNG]);
    expect(left).toEqual([]);
  });

  it('one that cannot be read among others: none is', async () => {
    expect(await whyNot(file('a.txt', 'Hello'), file('b.pdf', '%PDF-'))).toBe(
      'b.pdf:1:1: This is a PDF, and no text.',
    );
  });
});
