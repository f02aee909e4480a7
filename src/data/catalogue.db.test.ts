import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { CATALOGUE } from '../core/records/catalogue/catalogue';
import { CHOICES } from '../core/records/catalogue/choices';
import type { FieldDefinition } from '../core/records/catalogue/field';
import type { RecordKind } from '../core/records/recordKind';
import { RECORD_TABLES } from './recordTables';
import { temporaryDatabase, type TemporaryDatabase } from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
});
afterAll(() => database.drop());

/** How the database keeps values of the catalogue's types. */
const KEPT_AS: Readonly<Record<string, readonly string[]>> = {
  text: ['text', 'email_address', 'currency_code'],
  'long text': ['text'],
  date: ['date'],
  moment: ['timestamp with time zone'],
  money: ['bigint'],
  number: ['integer', 'smallint', 'numeric'],
  percent: ['numeric'],
  phone: ['text'],
  address: ['jsonb'],
  link: ['text'],
  image: ['sha256_hex'],
  'yes/no': ['boolean'],
};

/** What a table has that is no fact of a record: what names and orders its rows, and what ties them to others. */
const NO_FACT = /^(?:business_id|id|key|position|custom|version|.+_id)$/;

async function columnsOf(table: string): Promise<Map<string, string>> {
  const rows = await database.sequelize.query<{ name: string; type: string }>(
    `select column_name as name, coalesce(domain_name, case when data_type = 'ARRAY' then udt_name else data_type end)::text as type
     from information_schema.columns where table_name = $table`,
    { bind: { table }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ name, type }) => [name, type]));
}

/** Signatures are many, each with a name. */
const ELSEWHERE = new Set(['member.signature']);

/** Whether a stored fact has a column of its own: not what other records or tables hold. */
function isColumn(table: string, { key, derived, refers, type }: FieldDefinition): boolean {
  if (derived || refers || type.kind === 'record' || ELSEWHERE.has(`${table}.${key}`)) return false;
  return type.kind !== 'collection' || (type.of.kind !== 'record' && type.of.kind !== 'file');
}

it.each(Object.entries(RECORD_TABLES))('%s: its columns are what the catalogue says', async (table, kind) => {
  const columns = await columnsOf(table);
  const facts = [...CATALOGUE[kind as RecordKind].values()].filter((field) => isColumn(table, field));
  for (const { key, type } of facts) {
    const kept = columns.get(key);
    expect(kept, `${table}.${key}`).toBeDefined();
    if (type.kind === 'collection') expect(kept, `${table}.${key}`).toMatch(/^_/);
    else expect(KEPT_AS[type.kind], `${table}.${key}: ${type.kind}`).toContain(kept);
  }
  const known = new Set(facts.map(({ key }) => key));
  const others = [...columns.keys()].filter((column) => !known.has(column) && !NO_FACT.test(column));
  expect(others.sort()).toEqual(BESIDES[table] ?? []);
});

/** What tables keep that no letter says. */
const BESIDES: Readonly<Record<string, readonly string[]>> = {
  business: [
    'asks_opened',
    'device_days',
    'hold_after_hours',
    'idle_days',
    'invites',
    'marks_replies',
    'reminder_spacing',
    'same_letter_days',
    'set_up',
    'take_back_seconds',
  ],
  // They have no fields: letters say the ones that a client is written to and rung at.
  client: ['more_addresses', 'more_phones'],
  member: ['changes_shared', 'password_hash', 'role'],
  // Tells it when another calendar brings it again.
  booking: ['uid'],
  // Kept by triggers for lists; what letters say of sums is worked out from the lines.
  invoice: ['paid', 'total'],
  invoice_line: ['line_amount'],
};

it('a field of few words has the same words in the database', async () => {
  for (const [field, words] of Object.entries(CHOICES)) {
    const [table, column] = field.split('.') as [string, string];
    const [check] = await database.sequelize.query<{ said: string }>(
      `select pg_get_constraintdef(oid) as said from pg_constraint
       where conrelid = $table::regclass and contype = 'c' and conname = $name`,
      { bind: { table, name: `${table}_${column}_check` }, type: QueryTypes.SELECT },
    );
    const kept = check!.said.startsWith('CHECK ((uses')
      ? /'\{(.*)\}'/
          .exec(check!.said)![1]!
          .split(',')
          .map((word) => word.replaceAll('"', ''))
      : [...check!.said.matchAll(/'([^']*)'::text/g)].map(([, word]) => word);
    expect(kept, field).toEqual([...words]);
  }
});
