import type { BroughtFacts, BroughtKind, BroughtRow } from './brought';

/** What was found of a row in the business, as the contract has it. */
interface Found {
  clients: readonly { key: string; name: string; by: 'email' | 'number' | 'name' | 'last name' }[];
  there?: { key: string; client: string; client_key: string; open?: number };
}

/** What was decided of a row by hand. */
export interface Decision {
  /** it stays out, or comes in all the same though it seems to be there */
  as?: 'left out' | 'brought in' | undefined;
  /** whose it is; null: not whose it seemed to be */
  client?: { key: string; name: string } | null | undefined;
}

/** Where a row stands: it comes in, it is there, something of it must be said first, it stays out. */
export interface RowState {
  state: 'comes' | 'there' | 'unclear' | 'left out';
  /** why, in a sentence, where it does not simply come in */
  why?: string;
  /** whose it is, or whom it would be a second time */
  client?: { key: string; name: string };
  /** the invoice that a payment is for, by its key */
  invoice?: string;
  /** what is needed to let it come in: a client, perhaps one of these */
  needs?: 'client';
  perhaps?: readonly { key: string; name: string }[];
}

const BY = { email: 'address', number: 'telephone number', name: 'name', 'last name': 'last name' } as const;

/**
 * Where a row stands.
 * @param found what is there of it; undefined: that is not known yet
 * @param earlier the row of the same file that says the same
 * @param bookingWord what the business calls a booking
 */
export function stateOfRow<Kind extends BroughtKind>(
  kind: Kind,
  { facts }: BroughtRow<BroughtFacts[Kind]>,
  found: Found | undefined,
  decision: Decision = {},
  { earlier, bookingWord = 'booking' }: { earlier?: number | undefined; bookingWord?: string } = {},
): RowState {
  if (decision.as === 'left out') return { state: 'left out' };
  if (!facts) return { state: 'unclear' };
  const clients = found?.clients ?? [];
  if (kind === 'client') {
    if (decision.as === 'brought in') return { state: 'comes' };
    const [double] = clients;
    if (double)
      return { state: 'there', client: double, why: `${double.name} has the same ${BY[double.by]}.` };
    return earlier === undefined
      ? { state: 'comes' }
      : { state: 'there', why: `Row ${earlier} of the file says the same.` };
  }
  if (kind === 'payment') {
    const { amount, number } = facts as BroughtFacts['payment'];
    const there = found?.there;
    if (!there) return { state: 'unclear', why: `There is no invoice ${number} that is to be paid.` };
    const client = { key: there.client_key, name: there.client };
    if (amount > (there.open ?? 0))
      return { state: 'unclear', client, why: `It is more than what is open on ${number}.` };
    return { state: 'comes', client, invoice: there.key };
  }
  if (kind === 'invoice' && found?.there)
    return { state: 'there', why: `An invoice of this number is there already, of ${found.there.client}.` };
  if (kind === 'booking' && found?.there)
    return {
      state: 'comes',
      why: `This ${bookingWord} came in before: it is changed where it is otherwise.`,
      client: { key: found.there.client_key, name: found.there.client },
    };
  const own = decision.client === null ? undefined : (decision.client ?? onlySure(clients));
  if (own) return { state: 'comes', client: own };
  const perhaps = clients.map(({ key, name }) => ({ key, name }));
  return {
    state: 'unclear',
    needs: 'client',
    why: 'Whose is it?',
    ...(perhaps.length > 0 ? { perhaps } : {}),
  };
}

/** The only client that it can be; a last name alone is not enough. */
function onlySure(clients: Found['clients']): Found['clients'][number] | undefined {
  const [first] = clients.filter(({ by }) => by !== 'last name');
  const sure = clients.filter(({ by }) => by === first?.by);
  return sure.length === 1 ? first : undefined;
}

/** What a row is asked about at the server: whose it may be, and its mark. */
export function askedOf<Kind extends BroughtKind>(
  kind: Kind,
  { row, facts }: BroughtRow<BroughtFacts[Kind]>,
) {
  if (!facts) return undefined;
  const said = (...words: (string | undefined)[]) =>
    words.filter((one) => one !== undefined).map((one) => one.slice(0, 500));
  switch (kind) {
    case 'client': {
      const { email, phone, mobile, more_phones = [], name } = facts as BroughtFacts['client'];
      const others = more_phones.map(({ number }) => number);
      return { row, emails: said(email), phones: said(phone, mobile, ...others), names: said(name) };
    }
    case 'payment': {
      const { number } = facts as BroughtFacts['payment'];
      return { row, emails: [], phones: [], names: [], mark: number };
    }
    default: {
      const { whose, ...marked } = facts as BroughtFacts['booking' | 'invoice'];
      const mark = 'uid' in marked ? marked.uid : marked.number;
      return { row, emails: said(...whose.emails), phones: [], names: said(...whose.names), mark };
    }
  }
}

/** Rows that say of a client the same as an earlier one: its name with its address, or its name alone where neither has one. */
export function saidBefore(rows: readonly BroughtRow<BroughtFacts['client']>[]): Map<number, number> {
  const first = new Map<string, number>();
  const before = new Map<number, number>();
  for (const { row, facts } of rows) {
    if (!facts) continue;
    const says = JSON.stringify([facts.name.toLowerCase(), facts.email?.toLowerCase() ?? facts.phone ?? '']);
    const earlier = first.get(says);
    if (earlier === undefined) first.set(says, row);
    else before.set(row, earlier);
  }
  return before;
}
