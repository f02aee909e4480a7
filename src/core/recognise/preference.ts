import type { StartingKind } from '../records/recordKind';
import { LEADS_TO, type Situation } from '../records/which/situation';
import { isSpokenOf, type Near } from './cues';
import type { KnownFact } from './knownFacts';
import { isIn, type Zones } from './zones';

/** What a place of a letter says for one fact being meant and not another: more is likelier. */
export interface Place {
  text: string;
  from: number;
  to: number;
  zones: Zones;
  near: Near;
}

/** A record that stands further from the start is meant less. */
const PER_RECORD = 0.05;
/** So is one that another names: the client’s next visit, whoever is responsible. */
const PER_HOP = 0.25;
/** … but whoever comes to a visit is as near as the visit. */
const WHO_COMES = 0.08;
const CUE = 0.3;
const ZONE = 0.6;
/** Whom a letter greets is said by how they are greeted, though their whole name is the same. */
const GREETS = 0.1;
/** Among facts that say the same of one record, the one that letters say it by. */
const SAID_BY: readonly [RegExp, number][] = [
  [/\.greeting_name$/, 0.06],
  [/\.full_name$/, 0.05],
  [/\.given_name$/, 0.04],
  [/\.starts_at$/, 0.06],
  [/\.end_time$/, 0.05],
  [/\.preferred_name$/, -0.05],
  [/\.next_instalment\./, -0.1],
  [/\.(?:partners|unpaid_invoices|enquiries)$/, -0.2],
  // Whoever writes gives their own number.
  [/^sender\.(?:phone|mobile|email)$/, 0.3],
  [/\.(?:net|tax)$/, -0.2],
  [/billing_address/, -0.1],
  // A visit where the business is: letters to others say the same place.
  [/^business\.address/, 0.4],
  [/\.hours_booked$/, -0.15],
  [/\.outstanding$/, -0.15],
  [/^(?:today|now)$/, -0.4],
  [/^now$/, -0.2],
];

/** How somebody is reached is said behind their name. */
const REACHED = /\.(?:phone|mobile|email)$/;
const NAMED = 0.4;
/** … not further away than this, in UTF-16 units. */
const BEHIND_NAME = 30;

function isNamedBefore(path: string, { text, from }: Place, facts: readonly KnownFact[]): boolean {
  // Nobody names themselves.
  if (path.startsWith('sender.')) return false;
  const name = path.replace(REACHED, '.given_name');
  const says = facts.find((fact) => fact.path === name)?.forms[0]!.says;
  return says !== undefined && text.slice(Math.max(0, from - BEHIND_NAME), from).includes(says);
}

/** How likely a fact is meant at a place, by whose it is and what stands around; only differences count. */
export function preferenceOf(
  { path }: KnownFact,
  place: Place,
  { start, client }: Situation,
  facts: readonly KnownFact[],
): number {
  const { from, to, zones, near } = place;
  const root = path.slice(0, path.indexOf('.'));
  let weight = usually(path, start.kind);
  if (isSpokenOf(path, near)) weight += CUE;
  if (REACHED.test(path) && isNamedBefore(path, place, facts)) weight += NAMED;
  if (isIn(zones.greeting, from, to))
    weight += root !== 'recipient' ? 0 : path.endsWith('.greeting_name') ? ZONE + GREETS : ZONE;
  else if (isIn(zones.signedOff, from, to))
    weight += root === 'sender' ? ZONE : root === 'business' ? ZONE / 2 : 0;
  // Elsewhere an organisation is called by its name, and somebody in it is whom the letter goes to.
  else if (path === 'client.name') weight += client?.record.kind === 'organisation' ? 0.06 : -0.02;
  return weight;
}

const weights = new Map<string, number>();

/** How likely a fact is meant wherever it stands. */
function usually(path: string, start: StartingKind): number {
  const key = `${start} ${path}`;
  let weight = weights.get(key);
  if (weight === undefined) {
    const names = path.split('.');
    const hops = path.includes('.custom.') ? 0 : names.length - 2 - (isPartOfAddress(path) ? 1 : 0);
    weight = rootWeight(names[0]!, start);
    weight -= /^booking\.member\./.test(path) ? WHO_COMES : Math.max(0, hops) * PER_HOP;
    for (const [said, by] of SAID_BY) if (said.test(path)) weight += by;
    weights.set(key, weight);
  }
  return weight;
}

function rootWeight(root: string, start: StartingKind): number {
  const at = LEADS_TO[start].indexOf(root as never);
  if (at >= 0) return 1 - at * PER_RECORD;
  if (root === 'recipient') return 0.97;
  if (root === 'business' || root === 'links') return 0.75;
  return root === 'sender' ? 0.7 : 0.6;
}

/** Whether a fact is one of a record that only another record names. */
export function isNamedByAnother(path: string): boolean {
  return /\.(?:responsible|last_booking|next_booking|next_instalment|client|project)\./.test(path);
}

function isPartOfAddress(path: string): boolean {
  return /(?:address|location|bill_to)\.(?:street|town|region|postcode|country)$/.test(path);
}

/** Whether two facts are one for most clients, so that taking the one for the other says the same. */
export function areAlike(one: string, other: string): boolean {
  return alike(one) === alike(other);
}

function alike(path: string): string {
  return path
    .replace(/^(?:recipient|client)\.(?=[a-z_]+$)/, 'whom.')
    .replace(/\.(?:name|full_name)$/, '.called')
    .replace(/\.(?:greeting_name|given_name|preferred_name)$/, '.greeted')
    .replace(/^(?:client|project)\.next_booking\./, 'booking.')
    .replace(/\.(?:date|starts_at)$/, '.day')
    .replace(/\.(?:end_time|ends_at)$/, '.end')
    .replace(
      /^(?:client\.(?:billing_)?address|booking\.location|project\.location|invoice\.bill_to)/,
      'where',
    );
}
