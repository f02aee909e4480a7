import type { Alignment, Mark, Style } from '../../template/document';
import { escapeHtml, escapeWithBreaks } from './escape';
import type { HoleKind } from '../filled';
import { holeInWords, type ImageLook, type LinkLook, type ListLook, type PageWriter } from './writer';

const STYLE_CSS: Readonly<Record<Style, string>> = {
  small: 'font-size:0.85em',
  large: 'font-size:1.3em',
  underline: 'text-decoration:underline',
  center: 'text-align:center',
  right: 'text-align:right',
  madder: 'color:#8a2f3b',
  ochre: 'color:#8a5a12',
  moss: 'color:#55692a',
  verdigris: 'color:#2b6b5e',
  iris: 'color:#4b3f8f',
  slate: 'color:#43566b',
};

const BLOCK = 'margin:0 0 1em';
const BUTTON =
  'display:inline-block;padding:10px 18px;border:1px solid #4b3f8f;border-radius:3px;background-color:#4b3f8f;color:#ffffff;text-decoration:none;font-weight:bold';
const PARAGRAPH = `<p style="${BLOCK}">`;
const HEADINGS = [1, 2, 3, 4, 5, 6].map(
  (level) => `<h${level} style="${BLOCK};font-size:${level === 1 ? 1.4 : level === 2 ? 1.2 : 1}em">`,
);
const QUOTE = '<blockquote style="margin:0 0 1em;padding:0 0 0 12px;border-left:2px solid #cfc8b8">';
const RULE = '<hr style="border:0;border-top:1px solid #cfc8b8;margin:1em 0">';
const ITEM = '<li style="margin:0">';
const TABLE = `<table cellpadding="0" cellspacing="0" border="0" style="${BLOCK};border-collapse:collapse">`;
const CELL = 'padding:4px 12px 4px 0;vertical-align:top;border-bottom:1px solid #cfc8b8';
const CODE = `<pre style="${BLOCK};white-space:pre-wrap">`;

/** Writes HTML for mail: a small, conservative set of elements with inline styles. */
export class HtmlWriter implements PageWriter {
  private out = '';
  private tight = false;
  /** how much had been written when the last item began */
  private itemBegan = 0;
  private align: readonly Alignment[] = [];
  private column = 0;
  private inHeader = false;

  end(): string {
    return this.out;
  }

  literal(_: string, html: string): void {
    this.out += html;
  }

  value(text: string): void {
    this.out += escapeWithBreaks(text);
  }

  lineBreak(): void {
    this.out += '<br>';
  }

  marked(mark: Exclude<Mark, { type: 'link' }>, inner: () => void): void {
    if (mark.type === 'style') return this.element('span', `style="${STYLE_CSS[mark.style]}"`, inner);
    this.element(mark.type === 'bold' ? 'strong' : mark.type === 'italic' ? 'em' : 'code', '', inner);
  }

  link({ address, button, styles }: LinkLook, inner: () => void): void {
    const css = [...(button ? [BUTTON] : []), ...styles.map((style) => STYLE_CSS[style])].join(';');
    this.element('a', `href="${escapeHtml(address)}"${css ? ` style="${css}"` : ''}`, inner);
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

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  paragraph(_id: string, inner: () => void): void {
    if (!this.tight) return this.block(PARAGRAPH, '</p>', inner);
    // In a list without blank lines the words stand in the item itself.
    if (this.out.length !== this.itemBegan) this.out += '<br>';
    inner();
  }

  heading(_id: string, level: number, inner: () => void): void {
    this.block(HEADINGS[level - 1]!, `</h${level}>`, inner);
  }

  rule(): void {
    this.out += RULE;
  }

  quote(_id: string, inner: () => void): void {
    this.loose(() => this.block(QUOTE, '</blockquote>', inner));
  }

  list(_id: string, { ordered, start, tight }: ListLook, inner: () => void): void {
    const before = this.tight;
    this.tight = tight;
    const css = before ? 'margin:0;padding:0 0 0 24px' : `${BLOCK};padding:0 0 0 24px`;
    const name = ordered ? 'ol' : 'ul';
    const from = ordered && start !== 1 ? ` start="${start}"` : '';
    this.block(`<${name}${from} style="${css}">`, `</${name}>`, inner);
    this.tight = before;
  }

  item(_id: string, inner: () => void): void {
    this.out += ITEM;
    this.itemBegan = this.out.length;
    inner();
    this.out += '</li>';
  }

  table(_id: string, align: readonly Alignment[], inner: () => void): void {
    const before = [this.align, this.tight] as const;
    [this.align, this.tight] = [align, false];
    this.out += TABLE;
    inner();
    this.out += '</table>';
    [this.align, this.tight] = before;
  }

  row(_id: string, header: boolean, inner: () => void): void {
    this.column = 0;
    this.inHeader = header;
    this.element('tr', '', inner);
  }

  cell(inner: () => void): void {
    const side = this.align[this.column++] ?? 'left';
    this.element(this.inHeader ? 'th' : 'td', `align="${side}" style="${CELL}"`, inner);
  }

  code(_id: string, inner: () => void): void {
    this.block(CODE, '</pre>', inner);
  }

  styled(_id: string, styles: readonly Style[], inner: () => void): void {
    const css = styles.map((style) => STYLE_CSS[style]).join(';');
    this.loose(() => this.element('div', css ? `style="${css}"` : '', inner));
  }

  private loose(inner: () => void): void {
    const before = this.tight;
    this.tight = false;
    inner();
    this.tight = before;
  }

  /** A block that turned out empty is left out. */
  private block(open: string, close: string, inner: () => void): void {
    const before = this.out;
    this.out += open;
    const opened = this.out.length;
    inner();
    this.out = this.out.length === opened ? before : this.out + close;
  }

  private element(name: string, attributes: string, inner: () => void): void {
    this.out += attributes ? `<${name} ${attributes}>` : `<${name}>`;
    inner();
    this.out += `</${name}>`;
  }
}
