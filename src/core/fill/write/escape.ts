// Each expression is made once and not at every call.
const MARKUP = /[&<>"]/;
const NOT_PLAIN = /[&<>"\n\r]/;

/** Escapes text for HTML, in content and in double-quoted attributes. */
export function escapeHtml(text: string): string {
  return MARKUP.test(text) ? replaced(text, '\n') : text;
}

/** As escapeHtml, with a value's line breaks as <br>. */
export function escapeWithBreaks(text: string): string {
  return replaced(text, '<br>');
}

/** Whether a text has nothing in it that some writer treats otherwise than words: nothing to be escaped, no break. */
export function isPlain(text: string): boolean {
  return !NOT_PLAIN.test(text);
}

/**
 * From one find of the expression to the next. Nothing is asked of the text by name, as its length or its characters
 * one by one: strings come in so many kinds (flat, joined, cut out, of one or two bytes) that each such question has to
 * be looked up anew.
 */
function replaced(text: string, lineBreak: string): string {
  let out = '';
  let from = 0;
  SPECIAL.lastIndex = 0;
  while (SPECIAL.test(text)) {
    const at = SPECIAL.lastIndex - 1;
    const code = charCodeAt.call(text, at);
    out += slice.call(text, from, at) + (code === LINE_FEED ? lineBreak : entity(code));
    from = at + 1;
  }
  return from === 0 ? text : out + slice.call(text, from);
}

const SPECIAL = /[&<>"\n]/g;
const { charCodeAt, slice } = String.prototype;
const LINE_FEED = 10;

function entity(code: number): string {
  return code === 34 ? '&quot;' : code === 38 ? '&amp;' : code === 60 ? '&lt;' : '&gt;';
}

/**
 * An address that a letter may link to: http, https, mailto and tel, with nothing in it that could end a header or
 * an attribute. Undefined for everything else.
 */
export function safeAddress(address: string): string | undefined {
  const trimmed = address.trim();
  if (/[\p{Cc}\s<>"\\^`{|}]/u.test(trimmed)) return undefined;
  return /^(?:https?:\/\/[^/?#]|mailto:[^?#]|tel:\+?\d)/i.test(trimmed) ? trimmed : undefined;
}
