/**
 * An address that a letter may link to: http, https, mailto and tel, with nothing in it that could end a header or
 * an attribute. Undefined for everything else.
 */
export function safeAddress(address: string): string | undefined {
  const trimmed = address.trim();
  if (/[\p{Cc}\s<>"\\^`{|}]/u.test(trimmed)) return undefined;
  return /^(?:https?:\/\/[^/?#]|mailto:[^?#]|tel:\+?\d)/i.test(trimmed) ? trimmed : undefined;
}
