/** Escapes text for HTML, in content and in double-quoted attributes. */
export function escapeHtml(text: string): string {
  return /[&<>"]/.test(text) ? replaced(text, '\n') : text;
}

/** As escapeHtml, with a value's line breaks as <br>. */
export function escapeWithBreaks(text: string): string {
  return isPlain(text) ? text : replaced(text, '<br>');
}

/** Whether a text has nothing in it that some writer treats otherwise than words: to be escaped, a break, a space at its end. */
export function isPlain(text: string): boolean {
  return text !== '' && !/[&<>"\n]|[ \t]$/.test(text);
}

/** In one pass over the characters: several times faster than an expression for each. */
function replaced(text: string, lineBreak: string): string {
  let out = '';
  let from = 0;
  for (let i = 0; i < text.length; i++) {
    let entity;
    switch (text[i]) {
      case '&':
        entity = '&amp;';
        break;
      case '<':
        entity = '&lt;';
        break;
      case '>':
        entity = '&gt;';
        break;
      case '"':
        entity = '&quot;';
        break;
      case '\n':
        entity = lineBreak;
        break;
      default:
        continue;
    }
    out += text.slice(from, i) + entity;
    from = i + 1;
  }
  return out + text.slice(from);
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
