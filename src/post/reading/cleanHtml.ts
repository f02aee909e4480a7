import sanitize from 'sanitize-html';

/** What a letter is made of here; all else falls away, its words stay. */
const TAGS = [
  ...['p', 'div', 'br', 'hr', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'ul', 'ol', 'li', 'blockquote', 'pre'],
  ...['strong', 'b', 'em', 'i', 'u', 's', 'sub', 'sup', 'code', 'a', 'img'],
  ...['table', 'thead', 'tbody', 'tfoot', 'tr', 'td', 'th', 'caption'],
];
/** So deep a letter is nested, and no deeper. */
const DEEPEST = 60;
/** So many tags may stand open at once: what closes one looks through all of them. */
const MOST_OPEN = 5000;

const OPTIONS: sanitize.IOptions = {
  allowedTags: TAGS,
  allowedAttributes: {
    a: ['href'],
    img: ['src', 'alt', 'width', 'height'],
    td: ['colspan', 'rowspan'],
    th: ['colspan', 'rowspan'],
    ol: ['start'],
  },
  allowedSchemes: ['http', 'https', 'mailto', 'tel'],
  allowedSchemesByTag: { img: ['https', 'cid'] },
  allowProtocolRelative: false,
  // Their words are none of the letter's.
  nonTextTags: ['script', 'style', 'textarea', 'option', 'noscript', 'title', 'template', 'iframe', 'object'],
  nestingLimit: DEEPEST,
};

/**
 * The HTML of a letter that came in, brought into what our own letters are made of: no style, no script, no form, no frame, and no address
 * that is not one of the web, of mail or of a telephone. Undefined where nothing of it can be read.
 */
export function cleanHtml(html: string): string | undefined {
  if (mostOpen(html) > MOST_OPEN) return undefined;
  try {
    return sanitize(html.toWellFormed(), OPTIONS);
  } catch {
    return undefined;
  }
}

/** How many tags stand open at once, at most; those that need no end are left out. */
function mostOpen(html: string): number {
  let [open, most] = [0, 0];
  for (const [, closes] of html.matchAll(/<(\/?)(?!(?:br|hr|img|p|li|td|tr|meta|link|input)\b)[a-z]/gi)) {
    open = Math.max(0, open + (closes ? -1 : 1));
    most = Math.max(most, open);
  }
  return most;
}
