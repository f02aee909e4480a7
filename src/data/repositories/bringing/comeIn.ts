import { randomUUID } from 'node:crypto';
import { DatabaseError, QueryTypes, ValidationError } from 'sequelize';
import type { BroughtKind } from '../../../core/bringing/brought';
import type { ComingFacts, ComingRow } from '../../../core/contract/bringing';
import type { BookingFacts } from '../../../core/contract/records/booking';
import type { InvoiceFacts } from '../../../core/contract/records/invoice';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import type { LeftOver } from '../../models/bringing';
import { freeKeys } from '../freeKey';
import { columnsOf } from '../records/factsInRow';
import { insertKept, NoSuchRecord } from '../records/keptRecords';

/** A record that came in: its version right after, and what was changed of it where it was there before. */
interface Came {
  record_id: string;
  version: number;
  before?: Record<string, unknown>;
}

type ComeIn<Kind extends BroughtKind> = (
  database: Database,
  business_id: string,
  rows: readonly ComingRow<Kind>[],
) => Promise<{ came: Came[]; leftOver: LeftOver[] }>;

/** Brings rows of a kind in; a row that cannot come in keeps no other out. */
export const COME_IN: { readonly [Kind in BroughtKind]: ComeIn<Kind> } = {
  client: clientsComeIn,
  booking: oneByOne(bookingComesIn, ({ service, starts_at }) => `${service}, ${starts_at.slice(0, 10)}`),
  invoice: oneByOne(invoiceComesIn, ({ number }) => number),
  payment: oneByOne(paymentComesIn, ({ invoice }) => invoice),
};

const CLIENT = [
  ...['kind', 'name', 'given_name', 'family_name', 'preferred_name', 'honorific', 'email', 'phone', 'mobile'],
  ...['address', 'more_phones', 'more_addresses', 'language', 'tags', 'since', 'source', 'notes', 'custom'],
];

/** All at once; where the database refuses one of them, one after the other. */
async function clientsComeIn(database: Database, business_id: string, rows: readonly ComingRow<'client'>[]) {
  try {
    const came = await database.inTransaction(() =>
      insertClients(
        database,
        business_id,
        rows.map(({ facts }) => facts),
      ),
    );
    return { came, leftOver: [] };
  } catch (error) {
    if (!isRefusal(error)) throw error;
    return oneByOne<'client'>(
      async (_, id, facts) => (await insertClients(database, id, [facts]))[0]!,
      ({ name }) => name,
    )(database, business_id, rows);
  }
}

async function insertClients(
  database: Database,
  business_id: string,
  facts: readonly ComingFacts['client'][],
): Promise<Came[]> {
  const keys = await freeKeys(
    database,
    'client',
    business_id,
    facts.map(({ name }) => keyOfName(name, 'client')),
  );
  const clients = facts.map((known, i) => ({ ...columnsOf(CLIENT, known), id: randomUUID(), key: keys[i]! }));
  // One statement: what makes rows of objects takes longer than the database with them.
  const names = ['id', 'key', ...CLIENT].join(', ');
  await database.sequelize.query(
    `insert into client (business_id, ${names})
     select $business_id::uuid, ${names} from jsonb_populate_recordset(null::client, $clients::jsonb)`,
    { bind: { business_id, clients: JSON.stringify(clients) } },
  );
  return clients.map(({ id }) => ({ record_id: id, version: 1 }));
}

/** One after the other, each by itself. @param called what a row is called that stays out */
function oneByOne<Kind extends BroughtKind>(
  comesIn: (database: Database, business_id: string, facts: ComingFacts[Kind]) => Promise<Came | string>,
  called: (facts: ComingFacts[Kind]) => string,
): ComeIn<Kind> {
  return async (database, business_id, rows) => {
    const came: Came[] = [];
    const leftOver: LeftOver[] = [];
    for (const { row, facts } of rows) {
      const stays = (message: string) => leftOver.push({ name: `${called(facts)} (${row})`, message });
      try {
        const one = await database.inTransaction(() => comesIn(database, business_id, facts));
        if (typeof one === 'string') stays(one);
        else came.push(one);
      } catch (error) {
        if (error instanceof NoSuchRecord) stays(error.message);
        else if (isRefusal(error)) stays('It does not fit what is kept here by now. Write it down by hand.');
        else throw error;
      }
    }
    return { came, leftOver };
  };
}

/** What ends by trying again: two that waited for each other, and what took too long. */
const AGAIN = new Set(['40P01', '40001', '57014']);

/** Whether the database refuses what it was given, whenever it is given. */
function isRefusal(error: unknown): boolean {
  if (!(error instanceof DatabaseError || error instanceof ValidationError)) return false;
  const { code } = (error as { original?: { code?: string } }).original ?? {};
  return code !== undefined && !AGAIN.has(code) && /^2[23]|^P0/.test(code);
}

/** What another calendar changes of a visit. */
export const CHANGED = ['service', 'status', 'starts_at', 'ends_at', 'location', 'notes'] as const;

/** A visit with a mark that is there already is changed; one that was cancelled here stays so. */
async function bookingComesIn(
  database: Database,
  business_id: string,
  facts: ComingFacts['booking'],
): Promise<Came | string> {
  const { sequelize, models } = database;
  const { uid, ...known } = facts;
  const [there] = await sequelize.query<{ id: string; version: number; before: Record<string, unknown> }>(
    `select id, version, jsonb_build_object(${CHANGED.map((name) => `'${name}', ${name}`).join(', ')}) as before
     from booking where business_id = $business_id and uid = $uid for update`,
    { bind: { business_id, uid }, type: QueryTypes.SELECT },
  );
  if (!there) {
    const id = randomUUID();
    const location = known.location ?? (await addressOf(database, business_id, known.client, 'address'));
    await insertKept(database, business_id, 'booking', id, {
      ...known,
      ...(location ? { location } : {}),
      items: [],
    } as unknown as Omit<BookingFacts, 'version'>);
    await models.booking.update({ uid }, { where: { business_id, id } });
    return { record_id: id, version: 1 };
  }
  const { before, version } = there;
  const same = (name: 'starts_at' | 'ends_at') =>
    Date.parse(String(before[name])) === Date.parse(known[name]);
  const isOver = before.status === 'done' || before.status === 'missed' || before.status === 'cancelled';
  if (isOver || (same('starts_at') && same('ends_at') && known.status === before.status))
    return 'It is there already, as it is.';
  await models.booking.update(
    {
      status: known.status,
      starts_at: new Date(known.starts_at),
      ends_at: new Date(known.ends_at),
      ...(known.location ? { location: known.location } : {}),
      version: version + 1,
    },
    { where: { business_id, id: there.id } },
  );
  return { record_id: there.id, version: version + 1, before };
}

async function invoiceComesIn(
  database: Database,
  business_id: string,
  facts: ComingFacts['invoice'],
): Promise<Came | string> {
  const { sequelize, models } = database;
  const { number, status, payments, ...known } = facts;
  const there = await sequelize.query(
    'select 1 from invoice where business_id = $business_id and number = $number',
    { bind: { business_id, number }, type: QueryTypes.SELECT },
  );
  if (there.length > 0) return 'An invoice of this number is there already.';
  const id = randomUUID();
  const bill_to = await addressOf(database, business_id, known.client, 'coalesce(billing_address, address)');
  await insertKept(database, business_id, 'invoice', id, {
    ...known,
    ...(bill_to ? { bill_to } : {}),
    status: 'draft',
    instalments: [],
  } as unknown as Omit<InvoiceFacts, 'version'>);
  await models.invoice.update({ number, status }, { where: { business_id, id } });
  await models.payment.bulkCreate(
    payments.map((payment, position) => ({ ...payment, business_id, invoice_id: id, position })),
  );
  return { record_id: id, version: 1 };
}

async function paymentComesIn(
  { sequelize, models }: Database,
  business_id: string,
  { invoice: key, ...payment }: ComingFacts['payment'],
): Promise<Came | string> {
  const [invoice] = await sequelize.query<{ id: string; open: number; position: number; is_there: boolean }>(
    `select id, total - paid as open,
       (select coalesce(max(position) + 1, 0)::int from payment
         where business_id = invoice.business_id and invoice_id = invoice.id) as position,
       exists (select from payment where business_id = invoice.business_id and invoice_id = invoice.id
         and paid_on = $paid_on and amount = $amount) as is_there
     from invoice where business_id = $business_id and key = $key and status = 'sent' for update of invoice`,
    {
      bind: { business_id, key, paid_on: payment.paid_on, amount: payment.amount },
      type: QueryTypes.SELECT,
    },
  );
  if (!invoice) return 'There is no such invoice that is to be paid.';
  if (invoice.is_there) return 'A payment of this sum on this day is there already.';
  if (payment.amount > invoice.open) return 'It is more than what is open on it.';
  await models.payment.create({
    ...payment,
    business_id,
    invoice_id: invoice.id,
    position: invoice.position,
  });
  await models.invoice.increment('version', { where: { business_id, id: invoice.id } });
  return { record_id: invoice.id, version: invoice.position, before: payment };
}

async function addressOf(
  { sequelize }: Database,
  business_id: string,
  key: string,
  which: 'address' | 'coalesce(billing_address, address)',
): Promise<object | undefined> {
  const [client] = await sequelize.query<{ address: object | null }>(
    `select ${which} as address from client where business_id = $business_id and key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return client?.address ?? undefined;
}
