import type { Alignment, Style } from '../../document/document';
import { escapeHtml, escapeWithBreaks } from './escape';
import type { HoleKind } from '../../document/copyDocument';
import {
  holeInWords,
  type BlockLook,
  type ImageLook,
  type Literal,
  type MarkLook,
  type PageWriter,
} from './writer';

/**
 * The inks are lighter than on the application's paper: halfway between black and white, so that they can be read on
 * the ground of a mail reader by day and by night. Nothing has a ground of its own but a button, with its words.
 */
const STYLE_CSS: Readonly<Record<Style, string>> = {
  small: 'font-size:0.85em',
  large: 'font-size:1.3em',
  underline: 'text-decoration:underline',
  center: 'text-align:center',
  right: 'text-align:right',
  madder: 'color:#c34f5e',
  ochre: 'color:#a26a15',
  moss: 'color:#667e32',
  verdigris: 'color:#348272',
  iris: 'color:#776abd',
  slate: 'color:#5e7896',
};

const BLOCK = 'margin:0 0 1em';
const BUTTON =
  'display:inline-block;padding:10px 18px;border:1px solid #4b3f8f;background-color:#4b3f8f;color:#ffffff;text-decoration:none;font-weight:bold';
const PARAGRAPH = `<p style="${BLOCK}">`;
const HEADINGS = [1, 2, 3, 4, 5, 6].map(
  (level) => `<h${level} style="${BLOCK};font-size:${level === 1 ? 1.4 : level === 2 ? 1.2 : 1}em">`,
);
const CLOSINGS = [1, 2, 3, 4, 5, 6].map((level) => `</h${level}>`);
const QUOTE = '<blockquote style="margin:0 0 1em;padding:0 0 0 12px;border-left:2px solid #cfc8b8">';
const RULE = '<hr style="border:0;border-top:1px solid #cfc8b8;margin:1em 0">';
const ITEM = '<li style="margin:0">';
const TABLE = `<table cellpadding="0" cellspacing="0" border="0" style="${BLOCK};border-collapse:collapse">`;
const CELL = 'padding:4px 12px 4px 0;vertical-align:top;border-bottom:1px solid #cfc8b8';
const CODE_WORDS = '<span style="font-family:monospace">';
// No mail reader keeps the spaces of a <pre> and wraps its lines, too.
const CODE = `<div style="${BLOCK};font-family:monospace">`;

/** A list with all but its beginning, in an item without blank lines and elsewhere. */
const LIST = {
  inner: ' style="margin:0;padding:0 0 0 24px">',
  outer: ` style="${BLOCK};padding:0 0 0 24px">`,
};
const ORDERED = { inner: `<ol${LIST.inner}`, outer: `<ol${LIST.outer}` };
const BULLETS = { inner: `<ul${LIST.inner}`, outer: `<ul${LIST.outer}` };

/** A block that holds blocks while it is written. */
interface Open {
  close: string;
  /** what had been written before it, and how much when its content began: one that turns out empty is left out */
  before: string;
  began: number;
  /** whether the words around it stand in a list without blank lines */
  tight: boolean;
}

/** Writes HTML for mail: a small, conservative set of elements with inline styles. */
export class HtmlWriter implements PageWriter {
  readonly keepsPlaces = false;
  private out = '';
  private readonly open: Open[] = [];
  /** where a block of words and its words begin; there is one at a time, and most blocks are such */
  private wordsFrom = 0;
  private wordsBegan = 0;
  /** in a list without blank lines, where words stand in the items themselves */
  private tight = false;
  /** how much had been written when the last item began */
  private itemBegan = 0;
  private align: readonly Alignment[] = [];
  private column = 0;
  private inHeader = false;
  private inCode = false;

  end(): string {
    return this.out;
  }

  literal({ html }: Literal): void {
    this.out += this.inCode ? spaced(html.replaceAll('\n', '<br>')) : html;
  }

  value(text: string, html = escapeWithBreaks(text)): void {
    this.out += this.inCode ? spaced(html) : html;
  }

  lineBreak(): void {
    this.out += '<br>';
  }

  image({ source, description, width, link, styles = [] }: ImageLook): void {
    const css = [
      'max-width:100%',
      'height:auto',
      'border:0',
      ...styles.map((style) => STYLE_CSS[style]),
    ].join(';');
    const size = width === undefined ? '' : ` width="${width}"`;
    const image = `<img src="${escapeHtml(source)}" alt="${escapeHtml(description)}"${size} style="${css}">`;
    this.out += link === undefined ? image : `<a href="${escapeHtml(link)}">${image}</a>`;
  }

  beginMark(mark: MarkLook): void {
    this.out += opening(mark);
  }

  endMark(mark: MarkLook): void {
    this.out += closing(mark);
  }

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  rule(): void {
    this.out += RULE;
  }

  beginBlock(_id: string, block: BlockLook): void {
    const { tight } = this;
    switch (block.type) {
      case 'paragraph':
        if (!tight) return this.beginWords(PARAGRAPH);
        // Its words stand in the item itself.
        return this.beginWords(this.out.length === this.itemBegan ? '' : '<br>');
      case 'heading':
        return this.beginWords(HEADINGS[block.attrs.level - 1]!);
      case 'quote':
        this.begin(QUOTE, '</blockquote>');
        this.tight = false;
        return;
      case 'bulletList':
        this.begin(BULLETS[tight ? 'inner' : 'outer'], '</ul>');
        this.tight = block.attrs?.tight ?? false;
        return;
      case 'orderedList': {
        const place = tight ? 'inner' : 'outer';
        const start = block.attrs?.start;
        this.begin(start === undefined ? ORDERED[place] : `<ol start="${start}"${LIST[place]}`, '</ol>');
        this.tight = block.attrs?.tight ?? false;
        return;
      }
      case 'listItem':
        this.out += ITEM;
        this.itemBegan = this.out.length;
        return;
      case 'table':
        this.begin(TABLE, '</table>');
        this.align = block.attrs.align;
        this.tight = false;
        return;
      case 'tableRow':
        this.column = 0;
        this.inHeader = block.attrs?.header ?? false;
        this.out += '<tr>';
        return;
      case 'tableCell': {
        const name = this.inHeader ? 'th scope="col"' : 'td';
        const side = this.align[this.column++] ?? 'left';
        this.out += `<${name} align="${side}" style="${CELL}">`;
        return;
      }
      case 'codeBlock':
        this.inCode = true;
        return this.beginWords(CODE);
      case 'styled': {
        const css = block.attrs.styles.map((style) => STYLE_CSS[style]).join(';');
        this.begin(css ? `<div style="${css}">` : '<div>', '</div>');
        this.tight = false;
      }
    }
  }

  endBlock(block: BlockLook): void {
    switch (block.type) {
      case 'paragraph':
        this.endWords(this.tight ? '' : '</p>');
        return;
      case 'heading':
        this.endWords(CLOSINGS[block.attrs.level - 1]!);
        return;
      case 'codeBlock':
        this.inCode = false;
        this.endWords('</div>');
        return;
      case 'listItem':
        this.out += '</li>';
        return;
      case 'tableRow':
        this.out += '</tr>';
        return;
      case 'tableCell':
        this.out += this.inHeader ? '</th>' : '</td>';
        return;
      default: {
        const { close, before, began, tight } = this.open.pop()!;
        this.tight = tight;
        if (this.out.length === began) this.out = before;
        else this.out += close;
      }
    }
  }

  private beginWords(open: string): void {
    this.wordsFrom = this.out.length;
    this.out += open;
    this.wordsBegan = this.out.length;
  }

  private endWords(close: string): void {
    if (this.out.length === this.wordsBegan) this.out = this.out.slice(0, this.wordsFrom);
    else this.out += close;
  }

  private begin(open: string, close: string): void {
    const before = this.out;
    this.out += open;
    this.open.push({ close, before, began: this.out.length, tight: this.tight });
  }
}

function opening(mark: MarkLook): string {
  switch (mark.type) {
    case 'bold':
      return '<strong>';
    case 'italic':
      return '<em>';
    case 'code':
      return CODE_WORDS;
    case 'style':
      return mark.attrs.style === 'underline' ? '<u>' : `<span style="${STYLE_CSS[mark.attrs.style]}">`;
    case 'link': {
      const { address, button, styles = [] } = mark.attrs;
      const css = styles.map((style) => STYLE_CSS[style]);
      if (button) css.unshift(BUTTON);
      return `<a href="${escapeHtml(address)}"${css.length ? ` style="${css.join(';')}"` : ''}>`;
    }
    case 'signature':
      return '';
  }
}

function closing(mark: MarkLook): string {
  switch (mark.type) {
    case 'bold':
      return '</strong>';
    case 'italic':
      return '</em>';
    case 'code':
      return '</span>';
    case 'style':
      return mark.attrs.style === 'underline' ? '</u>' : '</span>';
    case 'link':
      return '</a>';
    case 'signature':
      return '';
  }
}

/** Spaces that stand where they were typed: of two and more, and at the beginning of a line. */
function spaced(html: string): string {
  return html.replace(/(^|<br>| ) /g, '$1&nbsp;');
}
