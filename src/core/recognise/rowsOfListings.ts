import type { Find } from './find';
import type { KnownFact } from './knownFacts';
import { rowAt, type Zones } from './zones';

/** What closes a table: the sum of what stands above. */
const CLOSES = /\.(?:total|balance|outstanding)$/;
/** Facts that several records have, each its own. */
const EACH_ITS_OWN = /\.(?:items|service|title|number|given_name|unpaid_invoices)$/;
const FIGURES = new Set(['money', 'date', 'moment', 'duration', 'number']);

/**
 * Whether what was found is a row’s own: of a table that repeats records, or a whole item of a list. No field by itself says it for
 * each row, and one would say the same in every one.
 */
export function isOfRow(
  { start, end, words, path }: Find,
  { type }: KnownFact,
  text: string,
  zones: Zones,
): boolean {
  const at = rowAt(zones, start, end);
  if (!at || !(FIGURES.has(type.kind) || type.kind === 'collection' || EACH_ITS_OWN.test(path))) return false;
  const { listing, row } = at;
  if (listing.table) return !(row === listing.rows.length - 1 && CLOSES.test(path));
  const { from, to } = listing.rows[row]!;
  const item = text
    .slice(from, to)
    .replace(/^\s*(?:[-*•–]|\d{1,3}[.)])\s+/u, '')
    .trim();
  if (item === words) return true;
  return FIGURES.has(type.kind) && withFigures(listing.rows.map((one) => text.slice(one.from, one.to))) > 1;
}

/** In how many of some lines figures stand. */
function withFigures(lines: readonly string[]): number {
  return lines.filter((line) => /\d/u.test(line)).length;
}
