import { describe, expect, it } from 'vitest';
import { safeAddress } from '../../document/safeAddress';
import { HtmlWriter } from './htmlWriter';
import { LetterWriter } from './letterWriter';
import { AddressWriter, LineWriter } from './lineWriter';
import { TextWriter } from './textWriter';
import { literal, type BlockLook, type MarkLook, type PageWriter } from './writer';

const say = (page: PageWriter, words: string) => () => page.value(words);

function block(page: PageWriter, look: BlockLook, inner: () => void): void {
  page.beginBlock('', look);
  inner();
  page.endBlock(look);
}

function marked(page: PageWriter, look: MarkLook, inner: () => void): void {
  page.beginMark(look);
  inner();
  page.endMark(look);
}

function text(write: (page: TextWriter) => void): string {
  const page = new TextWriter();
  write(page);
  return page.end();
}

function html(write: (page: HtmlWriter) => void): string {
  const page = new HtmlWriter();
  write(page);
  return page.end().replace(/ (?:style|cellpadding|cellspacing|border)="[^"]*"/g, '');
}

describe('plain text', () => {
  it('has one blank line between blocks and ends with a line break', () => {
    expect(
      text((page) => ['a', 'b'].forEach((words) => block(page, { type: 'paragraph' }, say(page, words)))),
    ).toBe('a\n\nb\n');
    expect(text(() => undefined)).toBe('');
  });

  it('has no block that says nothing', () => {
    expect(
      text((page) =>
        ['a', '', ' ', 'b'].forEach((words) => block(page, { type: 'paragraph' }, say(page, words))),
      ),
    ).toBe('a\n\nb\n');
  });

  it('indents what follows in an item, and what is quoted', () => {
    const items = (page: TextWriter) => () =>
      ['x\ny', 'z'].forEach((words) =>
        block(page, { type: 'listItem' }, () => block(page, { type: 'paragraph' }, say(page, words))),
      );
    expect(
      text((page) => block(page, { type: 'orderedList', attrs: { start: 9, tight: true } }, items(page))),
    ).toBe('9. x\n   y\n10. z\n');
    expect(text((page) => block(page, { type: 'bulletList' }, items(page)))).toBe('- x\n  y\n\n- z\n');
    expect(
      text((page) =>
        block(page, { type: 'quote' }, () => {
          block(page, { type: 'paragraph' }, say(page, 'a'));
          block(page, { type: 'paragraph' }, say(page, 'b'));
        }),
      ),
    ).toBe('> a\n>\n> b\n');
  });

  it('keeps what is nested in its place: items in a quotation, lists in items, items that say nothing', () => {
    const list = (page: TextWriter, tight: boolean, ...items: (() => void)[]) =>
      block(page, { type: 'bulletList', attrs: { tight } }, () =>
        items.forEach((item) => block(page, { type: 'listItem' }, item)),
      );
    const words = (page: TextWriter, text: string) => block(page, { type: 'paragraph' }, say(page, text));
    expect(
      text((page) =>
        block(page, { type: 'quote' }, () => {
          words(page, 'before');
          list(
            page,
            false,
            () => (words(page, 'a\nb'), words(page, 'c')),
            () =>
              list(
                page,
                true,
                () => words(page, 'd'),
                () => undefined,
              ),
            () => block(page, { type: 'quote' }, () => words(page, 'e\n\nf')),
          );
          list(page, true);
          block(page, { type: 'quote' }, () => words(page, ''));
        }),
      ),
    ).toBe('> before\n>\n> - a\n>   b\n>\n>   c\n>\n> - - d\n>   -\n>\n> - > e\n>   >\n>   > f\n');
  });

  it('drops the space that ends a line, whoever wrote it', () => {
    const line = (write: (page: TextWriter) => void) =>
      text((page) => block(page, { type: 'paragraph' }, () => write(page)));
    expect(line((page) => page.literal(literal('a ')))).toBe('a\n');
    expect(line((page) => (page.value('a '), page.value('')))).toBe('a\n');
    expect(line((page) => (page.literal(literal('a ')), page.value('b')))).toBe('a b\n');
    expect(line((page) => (page.value('a '), page.lineBreak(), page.value('b')))).toBe('a\nb\n');
  });

  it('aligns a table’s cells by characters, not bytes', () => {
    const rows = [
      ['Größe', '1'],
      ['é', '12345'],
    ];
    const table = (page: TextWriter) =>
      block(page, { type: 'table', attrs: { align: ['left', 'right'] } }, () =>
        rows.forEach((cells) =>
          block(page, { type: 'tableRow' }, () =>
            cells.forEach((cell) => block(page, { type: 'tableCell' }, say(page, cell))),
          ),
        ),
      );
    expect(text(table)).toBe('Größe      1\né      12345\n');
  });

  it('writes a link’s address after its words, unless they are the same', () => {
    const link = (address: string, words: string) =>
      text((page) =>
        block(page, { type: 'paragraph' }, () =>
          marked(page, { type: 'link', attrs: { address } }, say(page, words)),
        ),
      );
    expect(link('https://x.example/', 'our page')).toBe('our page (https://x.example/)\n');
    expect(link('https://x.example/', 'https://x.example/')).toBe('https://x.example/\n');
    expect(link('mailto:a@x.example', 'a@x.example')).toBe('a@x.example\n');
    expect(link('tel:+441632960101', 'ring me')).toBe('ring me (+441632960101)\n');
  });
});

describe('HTML', () => {
  it('escapes values and keeps their line breaks, however they were written', () => {
    for (const [value, written] of [
      ['a < b & "c"\nd', 'a &lt; b &amp; &quot;c&quot;<br>d'],
      ['a\r\nb\rc\n\rd\r', 'a<br>b<br>c<br><br>d<br>'],
      ['&&<>', '&amp;&amp;&lt;&gt;'],
      ['plain – words', 'plain – words'],
    ] as const) {
      expect(html((page) => block(page, { type: 'paragraph' }, say(page, value)))).toBe(`<p>${written}</p>`);
    }
  });

  it('has no block that says nothing', () => {
    expect(
      html((page) => ['a', '', 'b'].forEach((words) => block(page, { type: 'paragraph' }, say(page, words)))),
    ).toBe('<p>a</p><p>b</p>');
  });

  it('puts the words of a tight list into its items', () => {
    const list = (tight: boolean) =>
      html((page) =>
        block(page, { type: 'orderedList', attrs: { start: 2, tight } }, () =>
          block(page, { type: 'listItem' }, () => {
            block(page, { type: 'paragraph' }, say(page, 'a'));
            block(page, { type: 'paragraph' }, say(page, 'b'));
          }),
        ),
      );
    expect(list(true)).toBe('<ol start="2"><li>a<br>b</li></ol>');
    expect(list(false)).toBe('<ol start="2"><li><p>a</p><p>b</p></li></ol>');
  });

  it('says a table’s alignment in each cell', () => {
    const table = html((page) =>
      block(page, { type: 'table', attrs: { align: [null, 'right'] } }, () => {
        block(page, { type: 'tableRow', attrs: { header: true } }, () =>
          ['A', 'B'].forEach((cell) => block(page, { type: 'tableCell' }, say(page, cell))),
        );
        block(page, { type: 'tableRow' }, () =>
          ['1', '2'].forEach((cell) => block(page, { type: 'tableCell' }, say(page, cell))),
        );
      }),
    );
    expect(table).toBe(
      '<table><tr><th scope="col" align="left">A</th><th scope="col" align="right">B</th></tr><tr><td align="left">1</td><td align="right">2</td></tr></table>',
    );
  });

  it('keeps a picture’s address and description inside their attributes', () => {
    const page = new HtmlWriter();
    page.image({
      source: 'a".png',
      description: '<b>"x"</b>',
      width: 240,
      link: 'https://x.example/?a=1&b=2',
    });
    expect(page.end()).toMatch(
      /^<a href="https:\/\/x\.example\/\?a=1&amp;b=2"><img src="a&quot;\.png" alt="&lt;b&gt;&quot;x&quot;&lt;\/b&gt;" width="240" style="[^"]*"><\/a>$/,
    );
  });

  it('marks words by elements and inline styles alone', () => {
    const page = new HtmlWriter();
    marked(page, { type: 'bold' }, () =>
      marked(page, { type: 'style', attrs: { style: 'madder' } }, () =>
        marked(page, { type: 'italic' }, say(page, 'x')),
      ),
    );
    expect(page.end()).toBe('<strong><span style="color:#c34f5e"><em>x</em></span></strong>');
  });
});

it('a letter’s text and HTML carry the same words', () => {
  const letter = new LetterWriter();
  block(letter, { type: 'quote' }, () => {
    block(letter, { type: 'heading', attrs: { level: 1 } }, say(letter, 'Head'));
    block(letter, { type: 'bulletList', attrs: { tight: true } }, () =>
      block(letter, { type: 'listItem' }, () => block(letter, { type: 'paragraph' }, say(letter, 'item'))),
    );
    letter.rule();
    block(letter, { type: 'codeBlock' }, say(letter, 'code'));
    block(letter, { type: 'styled', attrs: { styles: ['center'] } }, () =>
      block(letter, { type: 'paragraph' }, say(letter, 'last')),
    );
  });
  expect(letter.text.end()).toBe('> Head\n>\n> - item\n>\n> ---\n>\n> code\n>\n> last\n');
  expect(
    letter.html
      .end()
      .replace(/<[^>]*>/g, ' ')
      .trim()
      .split(/\s+/),
  ).toEqual(['Head', 'item', 'code', 'last']);
});

describe('a line', () => {
  it('is one line with single spaces', () => {
    const line = new LineWriter();
    line.value(' a\r\nb\u0000\u2028 c ');
    line.lineBreak();
    line.literal(literal('d'));
    expect(line.end()).toBe('a b c d');
  });

  it('that is an address encodes the values inside it, but not one it begins with', () => {
    const inside = new AddressWriter('en-GB');
    inside.literal(literal('https://x.example/?q='));
    inside.value('a&b=c d/é');
    expect(inside.end()).toBe('https://x.example/?q=a%26b%3Dc%20d%2F%C3%A9');
    const whole = new AddressWriter('en-GB');
    whole.value('https://x.example/?a=1&b=2');
    expect(whole.end()).toBe('https://x.example/?a=1&b=2');
  });
});

describe('an address that may be followed', () => {
  it.each(['https://x.example/a?b=c#d', 'HTTP://x.example', 'mailto:a@x.example', 'tel:+441632960101'])(
    '%s',
    (address) => expect(safeAddress(address)).toBe(address),
  );

  it.each([
    'javascript:alert(1)',
    ' java\nscript:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/passwd',
    '//x.example',
    '/path',
    'https://',
    'https:///x',
    'https://x.example/"onload="x',
    'https://x.example/ b',
    '',
  ])('is not %j', (address) => expect(safeAddress(address)).toBeUndefined());
});
