import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { TABLES, type Database, type TableName } from '../database';
import type { Rows } from '../rows';
import { insertRows } from '../insertRows';
import { hashPassword } from '../password';
import type { Demonstration } from './readDemonstration';
import { recordRows } from './recordRows';
import { stableId } from '../stableId';
import { templateRows } from '../starters/templateRows';

const DEMONSTRATION_KEY = 'larkfield';

/**
 * Writes the demonstration business, in place of the one that is there: in one transaction, so that a failure
 * leaves what was. The same data gives the same rows, ids included.
 */
export async function loadDemonstration(database: Database, demonstration: Demonstration): Promise<void> {
  const rows = await rowsOf(demonstration);
  await database.inTransaction(async () => {
    await removeBusiness(database, DEMONSTRATION_KEY);
    await insertRows(database.models, rows);
  });
}

/** Whether there is no business yet. */
export async function isEmpty({ models }: Database): Promise<boolean> {
  return (await models.business.count()) === 0;
}

/**
 * What keeps the demonstration from being loaded anew, in a sentence: a business that somebody has made their own, or
 * letters that are on their way. Undefined where nothing does.
 */
export async function whyNotReset(
  { sequelize }: Database,
  { records }: Demonstration,
): Promise<string | undefined> {
  const [found] = await sequelize.query<{ name: string; own: number; going: number }>(
    `select business.name,
       (select count(*) from client where client.business_id = business.id and not client.key = any($keys))::int as own,
       (select count(*) from message where message.business_id = business.id and status = 'going')::int as going
     from business where key = $key`,
    {
      bind: { key: DEMONSTRATION_KEY, keys: (records.clients ?? []).map(({ key }) => key) },
      type: QueryTypes.SELECT,
    },
  );
  if (!found) return undefined;
  if (found.going)
    return `Letters of it are on their way (${found.going}). Wait until they have gone, then reset it.`;
  if (found.name !== records.business.name || found.own)
    return `“${found.name}” is no longer the demonstration: it has a name or clients of its own, and would be lost.`;
  return undefined;
}

async function removeBusiness({ sequelize, models }: Database, key: string): Promise<void> {
  const business = await models.business.findOne({ where: { key }, raw: true });
  if (!business) return;
  const { id } = business as unknown as { id: string };
  // Backwards through the tables, as rows point at those before them; a template and its version point at each other.
  await sequelize.query('set constraints all deferred');
  for (const name of (Object.keys(TABLES) as TableName[]).reverse()) {
    const where = name === 'business' ? { id } : { business_id: id };
    await (models[name] as AnyTable).destroy({ where });
  }
}

/** What all models can do alike; their union of types does not say so. */
interface AnyTable {
  destroy(options: object): Promise<number>;
}

async function rowsOf(demonstration: Demonstration): Promise<Rows> {
  const business_id = stableId('business', DEMONSTRATION_KEY);
  return {
    ...recordRows(demonstration.records, business_id),
    member: await memberRows(demonstration, business_id),
    file: demonstration.files.map((file) => ({ ...file, business_id, size: file.content.length })),
    ...templateRows(demonstration, business_id),
    ...messageRows(demonstration, business_id),
    ...workRows(demonstration, business_id),
  };
}

function workRows({ services = [], plans = [], ways }: Demonstration, business_id: string): Rows {
  const inOrder = <Row extends { name?: string }>(kind: string, rows: Row[]) =>
    rows.map((row, position) => ({ ...row, business_id, id: stableId(kind, row.name ?? ''), position }));
  return {
    work_ways: [{ ...ways, business_id }],
    service: inOrder('service', services),
    payment_plan: inOrder('payment plan', plans),
  };
}

async function memberRows({ members }: Demonstration, business_id: string): Promise<Rows['member']> {
  return Promise.all(
    members.map(async ({ password, signature: _signature, ...member }) => ({
      ...member,
      business_id,
      id: stableId('member', member.key),
      full_name: member.full_name ?? member.key,
      email: member.email ?? '',
      // The passwords stand in the data for everyone to read; a fixed salt keeps the rows the same.
      password_hash: await hashPassword(
        password,
        createHash('sha256').update(member.key).digest().subarray(0, 16),
      ),
    })),
  );
}

function messageRows({ messages, templates }: Demonstration, business_id: string): Rows {
  const known = new Set(templates.map(({ head }) => head.name));
  const refer = (kind: string, key: string | undefined | null) => (key ? stableId(kind, key) : null);
  const idOf = (key: string) => stableId('message', key);
  return {
    message: messages.map((message) => {
      const [kind, key] = message.about?.split(':') ?? [];
      const about = (wanted: string) => (kind === wanted ? refer(wanted, key) : null);
      const template = message.template && known.has(message.template) ? message.template : undefined;
      return {
        business_id,
        id: idOf(message.key),
        message_id: `${message.key}@larkfield.example`,
        direction: message.direction as 'out',
        status: message.status as 'sent',
        reason: message.reason ?? null,
        thread_id: idOf(message.thread),
        ...(message.direction === 'in' ? { came_as: 'answer' as const } : {}),
        from_name: message.from?.name ?? null,
        from_address: message.from?.address ?? null,
        answers: message.answers ? idOf(message.answers) : null,
        settled_at: message.settled_by ? new Date(message.at) : null,
        settled_by: refer('member', message.settled_by),
        subject: message.subject,
        text: message.text,
        client_id: refer('client', message.client),
        enquiry_id: about('enquiry'),
        project_id: about('project'),
        booking_id: about('booking'),
        invoice_id: about('invoice'),
        member_id: refer('member', message.member),
        template_id: refer('template', template),
        template_version: template ? 1 : null,
        at: new Date(message.at),
      };
    }),
    message_recipient: messages.flatMap(({ key, recipients }) =>
      recipients.map((recipient, position) => ({
        ...recipient,
        role: recipient.role as 'to',
        business_id,
        message_id: idOf(key),
        position,
      })),
    ),
    delivery_event: messages.flatMap(({ key, events = [] }) =>
      events.map(({ kind, at, detail = null }, position) => ({
        business_id,
        message_id: idOf(key),
        position,
        kind: kind as 'sent',
        at: new Date(at),
        detail,
      })),
    ),
  };
}
