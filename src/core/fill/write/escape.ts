/** Escapes text for HTML, in content and in double-quoted attributes. */
export function escapeHtml(text: string): string {
  if (!/[&<>"]/.test(text)) return text;
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}

/** A value's line breaks as <br>. */
export function escapeWithBreaks(text: string): string {
  const escaped = escapeHtml(text);
  return escaped.includes('\n') ? escaped.replaceAll('\n', '<br>') : escaped;
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
