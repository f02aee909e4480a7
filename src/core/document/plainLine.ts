import type { Line } from './templateDocument';

/** A line of plain words; without any, an empty one. */
export function plainLine(text: string): Line {
  return text ? [{ type: 'text', text }] : [];
}
