/** What was pasted, as a page can take it. */
export interface Pasted {
  html: string;
  /** pictures that came as a part of it, to be brought in */
  pictures: string[];
  /** what of it a letter may not contain, in words: "2 pictures from elsewhere" */
  leftOut: string[];
}

/** Longer than this nothing is taken in: no template's words are. */
const LONGEST = 2_000_000;

const ONE_OR_MORE: readonly [selector: string, one: string, more: string][] = [
  ['script', 'a script', 'scripts'],
  ['video, audio, iframe, object, embed', 'a film, a sound or a frame', 'films, sounds or frames'],
  ['svg, canvas', 'a drawing', 'drawings'],
  ['input, select, textarea', 'a field of a form', 'fields of a form'],
];
/** Says nothing by itself. */
const SILENT = 'style, meta, link, title, template, noscript';

/**
 * Makes HTML from a word processor, a mail program or a web page plain: its structure and its looks stay, as far as letters have
 * them; what they cannot have goes, and is told. Nothing of it runs or is fetched meanwhile.
 */
export function cleanPasted(written: string): Pasted {
  if (written.length > LONGEST) return { html: '', pictures: [], leftOut: ['all of it: it is too long'] };
  const page = new DOMParser().parseFromString(written, 'text/html');
  const leftOut = ONE_OR_MORE.flatMap(([selector, one, more]) => {
    const found = page.querySelectorAll(selector);
    found.forEach((element) => element.remove());
    return found.length === 0 ? [] : [found.length === 1 ? one : `${found.length} ${more}`];
  });
  page.querySelectorAll(SILENT).forEach((element) => element.remove());
  const pictures: string[] = [];
  let foreign = 0;
  page.querySelectorAll('img:not([data-source])').forEach((image) => {
    const source = image.getAttribute('src') ?? '';
    if (/^data:image\/(?:png|jpeg|gif|webp);base64,/.test(source)) pictures.push(source);
    // A mail's counting picture shows nothing.
    else if (image.getAttribute('width') !== '1') foreign++;
    image.remove();
  });
  if (foreign > 0)
    leftOut.push(foreign === 1 ? 'a picture from elsewhere' : `${foreign} pictures from elsewhere`);
  removeComments(page);
  nestLists(page);
  page.body.querySelectorAll<HTMLElement>('b, strong, span, font, a, i, em').forEach(lookBySheet);
  return { html: page.body.innerHTML, pictures, leftOut };
}

function removeComments(page: Document): void {
  const walk = page.createTreeWalker(page.documentElement, NodeFilter.SHOW_COMMENT);
  const comments: Node[] = [];
  while (walk.nextNode()) comments.push(walk.currentNode);
  for (const comment of comments) comment.parentNode?.removeChild(comment);
}

/** Word processors write a list as paragraphs that say how deep they are and bring their own marks along. */
function nestLists(page: Document): void {
  const open: Element[] = [];
  page.querySelectorAll<HTMLElement>('p[style*="mso-list"]').forEach((paragraph) => {
    const depth = Number(/level(\d)/.exec(paragraph.getAttribute('style') ?? '')?.[1] ?? 1);
    const mark = paragraph.querySelector('[style*="mso-list:Ignore"], [style*="mso-list: Ignore"]');
    const isNumbered = /^\s*(?:\d+|[a-z]{1,4})[.)]/i.test(mark?.textContent ?? '');
    mark?.remove();
    const before = paragraph.previousElementSibling;
    // A list goes on where nothing stands between its paragraphs.
    if (!before || before !== open[0]) open.length = 0;
    open.length = Math.min(open.length, depth);
    while (open.length < depth) {
      const list = page.createElement(isNumbered ? 'ol' : 'ul');
      const around = open[open.length - 1];
      if (around) (around.lastElementChild ?? around.appendChild(page.createElement('li'))).append(list);
      else paragraph.before(list);
      open.push(list);
    }
    const item = page.createElement('li');
    const words = page.createElement('p');
    words.append(...paragraph.childNodes);
    item.append(words);
    open[open.length - 1]!.append(item);
    paragraph.remove();
  });
}

/** What a style sheet says of words in place of an element: bold, italic, underlined, or the reverse. */
function lookBySheet(element: HTMLElement): void {
  const { fontWeight, fontStyle, textDecoration, textDecorationLine } = element.style;
  const isBold = /^(?:b|strong)$/i.test(element.tagName);
  const isSlanted = /^(?:i|em)$/i.test(element.tagName);
  const plain = (isBold && /^(?:normal|[1-4]00)$/.test(fontWeight)) || (isSlanted && fontStyle === 'normal');
  const marks = [
    ...(!isBold && /^(?:bold|bolder|[6-9]00)$/.test(fontWeight) ? ['strong'] : []),
    ...(!isSlanted && fontStyle === 'italic' ? ['em'] : []),
    ...(element.tagName !== 'A' && /underline/.test(textDecoration || textDecorationLine) ? ['u'] : []),
  ];
  for (const mark of marks) {
    const around = element.ownerDocument.createElement(mark);
    around.append(...element.childNodes);
    element.append(around);
  }
  if (plain) element.replaceWith(...element.childNodes);
}
