/** Escapes text for HTML, in content and in double-quoted attributes. */
export function escapeHtml(text: string): string {
  return SPECIAL.test(text) ? replaced(text, '\n') : text;
}

/** As escapeHtml, with a value's line breaks as <br>. The same text where nothing is to be replaced, as in most. */
export function escapeWithBreaks(text: string): string {
  return SPECIAL.test(text) ? replaced(text, '<br>') : text;
}

/**
 * From one find of the expression to the next. Little is asked of the text by name, as its length or its characters
 * one by one: strings come in so many kinds (flat, joined, cut out, of one or two bytes) that each such question has to
 * be looked up anew. However its lines were ended where it came from, "\r\n" and "\r" end one line.
 */
function replaced(text: string, lineBreak: string): string {
  let out = '';
  let from = 0;
  EACH_SPECIAL.lastIndex = 0;
  while (EACH_SPECIAL.test(text)) {
    const at = EACH_SPECIAL.lastIndex - 1;
    const code = String.prototype.charCodeAt.call(text, at);
    const before = String.prototype.slice.call(text, from, at);
    if (code === LINE_FEED) out += before + lineBreak;
    else if (code === RETURN)
      out += String.prototype.charCodeAt.call(text, at + 1) === LINE_FEED ? before : before + lineBreak;
    else out += before + (code === 34 ? '&quot;' : code === 38 ? '&amp;' : code === 60 ? '&lt;' : '&gt;');
    from = at + 1;
  }
  return out + String.prototype.slice.call(text, from);
}

const SPECIAL = /[&<>"\n\r]/;
const EACH_SPECIAL = new RegExp(SPECIAL, 'g');
const LINE_FEED = 10;
const RETURN = 13;

/**
 * An address that a letter may link to: http, https, mailto and tel, with nothing in it that could end a header or
 * an attribute. Undefined for everything else.
 */
export function safeAddress(address: string): string | undefined {
  const trimmed = address.trim();
  if (/[\p{Cc}\s<>"\\^`{|}]/u.test(trimmed)) return undefined;
  return /^(?:https?:\/\/[^/?#]|mailto:[^?#]|tel:\+?\d)/i.test(trimmed) ? trimmed : undefined;
}
