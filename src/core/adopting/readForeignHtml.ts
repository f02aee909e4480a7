import { Parser } from 'htmlparser2';
import type { Block, Inline, Mark, TemplateDocument } from '../document/templateDocument';
import { safeAddress } from '../document/safeAddress';
import { pictureWord, type ForeignPicture, type KeptPictures, type PictureWord } from './foreignPictures';
import { HtmlBlocks } from './htmlBlocks';

/** A page or a mail’s HTML, read. */
export interface ForeignHtml {
  title?: string;
  document: TemplateDocument;
  /** pictures that were not placed, in their order */
  pictures: ForeignPicture[];
}

/** What in it is none of its words. */
const SILENT = new Set(
  'script style head noscript template iframe object svg canvas select textarea video audio'.split(' '),
);
const BLOCKS = new Set(
  'p div section article header footer main address center figure figcaption dl dt dd form fieldset'.split(
    ' ',
  ),
);
/** So many looks lie over each other; more are not looked at. */
const MOST_MARKS = 40;
const BOLD = new Set(['b', 'strong']);
const ITALIC = new Set(['i', 'em', 'cite']);

/**
 * Reads HTML into our own form: its paragraphs, lists, tables, links and looks; nothing of it is run or fetched, and what else it has
 * falls away, its words stay. Linear in its length.
 * @param kept the pictures that came along, by where the page has them
 */
export function readForeignHtml(html: string, kept: KeptPictures = new Map()): ForeignHtml {
  const blocks = new HtmlBlocks();
  const pictures: ForeignPicture[] = [];
  const marks: Look[] = [];
  let silent = 0;
  let title: string | undefined;
  let inTitle = false;
  const current = () => marks.flatMap(({ mark }) => mark ?? []);
  const parser = new Parser(
    {
      onopentag(tag, attributes) {
        if (tag === 'title') inTitle = true;
        // What stands in the head is none of its words; a body that begins ends it.
        if (tag === 'body') silent = 0;
        if (SILENT.has(tag)) silent++;
        if (silent) return;
        if (tag === 'br') return blocks.lineBreak(current());
        if (tag === 'hr') return blocks.rule();
        if (tag === 'img') {
          // A mail’s counting picture shows nothing.
          if (attributes.width === '1' || attributes.height === '1') return;
          const picture = { source: attributes.src ?? '', description: attributes.alt ?? '' };
          const word = pictureWord(picture, kept, Number.parseInt(attributes.width ?? '', 10));
          if (word) blocks.picture(withLink(word, current()));
          else pictures.push(picture);
          return;
        }
        const look = lookOf(tag, attributes);
        if (look) {
          if (marks.length < MOST_MARKS) marks.push(look);
        } else if (BLOCKS.has(tag)) blocks.apart();
        else blocks.open(tag);
      },
      ontext(text) {
        if (inTitle) title = ((title ?? '') + text).slice(0, 200);
        else if (!silent) blocks.words(text, current());
      },
      onclosetag(tag) {
        if (tag === 'title') inTitle = false;
        if (SILENT.has(tag)) {
          silent = Math.max(0, silent - 1);
          return;
        }
        if (silent) return;
        const at = marks.findLastIndex((one) => one.tag === tag);
        if (at >= 0) {
          const [{ behind }] = marks.splice(at, 1) as [Look];
          // Where it leads is a placeholder: said behind its words, so that it is seen.
          if (behind) blocks.words(` (${behind})`, current());
        } else if (BLOCKS.has(tag)) blocks.apart();
        else blocks.close(tag);
      },
    },
    { decodeEntities: true, lowerCaseTags: true, recognizeSelfClosing: true },
  );
  parser.write(html.toWellFormed());
  parser.end();
  const content: Block[] = blocks.end();
  return { ...(title?.trim() ? { title: title.trim() } : {}), document: { type: 'doc', content }, pictures };
}

/** A tag that words lie under. */
interface Look {
  tag: string;
  mark: Mark | undefined;
  /** what is said behind its words */
  behind?: string;
}

function lookOf(tag: string, { href }: Record<string, string>): Look | undefined {
  if (BOLD.has(tag)) return { tag, mark: { type: 'bold' } };
  if (ITALIC.has(tag)) return { tag, mark: { type: 'italic' } };
  if (tag === 'u') return { tag, mark: { type: 'style', attrs: { style: 'underline' } } };
  return tag === 'a' ? { tag, ...linkOf(href) } : undefined;
}

function linkOf(href: string | undefined): Omit<Look, 'tag'> {
  const address = href === undefined ? undefined : safeAddress(href.trim());
  if (address !== undefined) {
    const line: Inline[] = [{ type: 'text', text: address }];
    return { mark: { type: 'link', attrs: { address: line } } };
  }
  return {
    mark: undefined,
    ...(href?.trim() && !/^(?:#|javascript:|data:)/i.test(href.trim()) ? { behind: href.trim() } : {}),
  };
}

/** A picture within a link leads where it does. */
function withLink(word: PictureWord, marks: readonly Mark[]): PictureWord {
  const link = marks.find((mark) => mark.type === 'link');
  return link ? { ...word, attrs: { ...word.attrs, link: link.attrs.address } } : word;
}
