import { QueryTypes } from 'sequelize';
import type { LetterNarrowing, NarrowingState } from '../../core/contract/letterNarrowing';
import type { ShownLetter } from '../../core/contract/letters';
import { NEEDS_SOMEBODY, TRIED_LONG } from '../../core/cures/cures';
import type { Note } from '../../core/fill/filled';
import type { Database } from '../database';

/** A letter as it went out or came in, with what became of it. */
export interface KeptLetter extends Omit<ShownLetter, 'hasHtml' | 'day' | 'at' | 'goes' | 'events'> {
  html: string | null;
  at: Date;
  /** milliseconds until the worker may take it, by the database's clock */
  goes_in: number | null;
  /** ISO: when one for later goes */
  goes_at: string | null;
  /** its place among the letters, the newest first: its moment, as exact as it is kept, and which of that moment */
  place: [string, string];
  notes: Note[];
  events: Omit<ShownLetter['events'][number], 'day'>[];
}

/** Whether a message that came in waits: a person wrote it, nobody has dealt with it, and no letter has answered it since. */
const WAITS = `(message.settled_at is null and message.came_as in ('answer', 'other') and not exists (
  select from message later where later.business_id = message.business_id and later.thread_id = message.thread_id
    and later.direction = 'out' and later.status in ('later', 'going', 'sent', 'delivered', 'opened', 'may have arrived')
    and (later.at, later.sequence) > (message.at, message.sequence)))`;

const KNOWN = '(message.client_id is not null or message.enquiry_id is not null)';

/** The record that a letter is about, in a query of its own: the planner tries the joins of a query in every order, which takes longer than all the rest. */
const ABOUT = (kind: 'enquiry' | 'project' | 'booking' | 'invoice', name: string) =>
  `(select jsonb_build_object('kind', '${kind}', 'key', key, 'name', ${name}) from ${kind}
    where ${kind}.business_id = message.business_id and ${kind}.id = message.${kind}_id)`;

const LETTERS = `select message.id, message.direction, message.kind, message.status, message.reason, message.subject,
    message.text, message.quoted, message.html, message.at, message.from_name, message.from_address, message.notes,
    message.status = 'going' and message.tries >= ${TRIED_LONG} as "triedLong",
    message.came_as, message.direction = 'in' and ${WAITS} as waits,
    (select sign from incoming where incoming.business_id = message.business_id and incoming.message_id = message.id) as sign,
    coalesce((select notes from incoming where incoming.business_id = message.business_id and incoming.message_id = message.id), '{}') as came_notes,
    message.version, array[message.at::text, message.sequence::text] as place, (extract(epoch from greatest(goes_at - now(), '0')) * 1000)::bigint as goes_in,
    case when message.status = 'later' then message.choices ->> 'goesAt' end as goes_at,
    message.status in ('held', 'later', 'taken back') and exists (select from letter_for_later kept
      where kept.business_id = message.business_id and kept.message_id = message.id) as "canBeWrittenOn",
    (select full_name from member who where who.business_id = message.business_id and who.id = settled_by) as settled_by,
    member.full_name as member, member.key as member_key, client.name as client, client.key as client_key,
    template.name as template, template.key as template_key,
    case
      when message.invoice_id is not null then ${ABOUT('invoice', "coalesce(number, 'draft')")}
      when message.booking_id is not null then ${ABOUT('booking', 'service')}
      when message.enquiry_id is not null then ${ABOUT('enquiry', 'coalesce(name, email)')}
      when message.project_id is not null then ${ABOUT('project', 'title')}
    end as about,
    coalesce((select jsonb_agg(jsonb_build_object('role', role, 'name', name, 'address', address) order by position)
      from message_recipient one where one.business_id = message.business_id and one.message_id = message.id), '[]') as recipients,
    coalesce((select jsonb_agg(jsonb_build_object('name', name, 'position', position, 'size', size) order by position)
      from attachment join file on file.business_id = attachment.business_id and file.sha256 = attachment.sha256
      where attachment.business_id = message.business_id and message_id = message.id), '[]') as attachments,
    coalesce((select jsonb_agg(jsonb_build_object('kind', kind, 'at', at, 'detail', detail) order by position)
      from delivery_event one where one.business_id = message.business_id and one.message_id = message.id), '[]') as events
  from message
  left join member on member.business_id = message.business_id and member.id = message.member_id
  left join client on client.business_id = message.business_id and client.id = message.client_id
  left join template on template.business_id = message.business_id and template.id = message.template_id
  where message.business_id = $business_id and message.status <> 'draft'`;

const LONGEST_FIRST = 'order by message.at, message.sequence';
const NEWEST_FIRST = 'order by message.at desc, message.sequence desc';

/** Which letters: of a client, or about a record of a kind. All: everything lately. */
export interface LetterFilter {
  client_id?: string;
  about?: { kind: 'enquiry' | 'project' | 'booking' | 'invoice'; id: string };
  /** these alone */
  ids?: readonly string[];
  /** what follows the letter at a place */
  after?: readonly [string, string];
  narrowing?: LetterNarrowing;
  /** the moment that the times of it are counted from */
  now?: Date;
}

const NEEDS = `and (message.settled_at is null and message.status in ('${NEEDS_SOMEBODY.join("', '")}')
  or message.status = 'going' and message.tries >= ${TRIED_LONG})`;

const CAME_AND_WAITS = `and message.direction = 'in' and ${WAITS}`;

/** What waits for somebody or for its hour: which letters, in which order. */
const KINDS = {
  /** what did not go as it should, and nobody has dealt with */
  'needs somebody': [NEEDS, NEWEST_FIRST],
  /** what came in and waits, from whoever is in the records */
  'waits, known': [`${CAME_AND_WAITS} and ${KNOWN}`, LONGEST_FIRST],
  /** … and from somebody unknown */
  'waits, unknown': [`${CAME_AND_WAITS} and not ${KNOWN}`, LONGEST_FIRST],
  'for later': [`and message.status = 'later'`, 'order by message.goes_at'],
} as const;

const IN_STATE: Readonly<Record<NarrowingState, string>> = {
  'needs somebody': NEEDS,
  'waits for an answer': CAME_AND_WAITS,
  'for later': `and message.status = 'later'`,
  'going out': `and message.status in ('going', 'held')`,
  gone: `and message.status in ('sent', 'delivered', 'opened')`,
  'came back': `and message.status in ('bounced', 'failed', 'may have arrived')`,
  'came in': `and message.direction = 'in'`,
};

const OF_KEY = (table: 'member' | 'template') =>
  `and message.${table}_id = (select id from ${table} one where one.business_id = $business_id and one.key = $${table})`;

/** The conditions of a narrowing, with what they are told. */
export function narrowed({ state, member, template, time }: LetterNarrowing, now: Date): [string, object] {
  const since = new Date(now.getTime() - (Number(time) || 365) * 86_400_000);
  const conditions = [
    state ? IN_STATE[state] : '',
    member ? OF_KEY('member') : '',
    template ? OF_KEY('template') : '',
    time ? `and message.at ${time === 'before' ? '<' : '>='} $since` : '',
  ].join(' ');
  return [
    conditions,
    { ...(member ? { member } : {}), ...(template ? { template } : {}), ...(time ? { since } : {}) },
  ];
}

/** Letters, newest first. */
export async function lettersOf(
  { sequelize }: Database,
  business_id: string,
  filter: LetterFilter,
  most: number,
): Promise<KeptLetter[]> {
  const { client_id, about, ids, after, narrowing = {}, now = new Date() } = filter;
  const [alsoNarrowed, narrowedBy] = narrowed(narrowing, now);
  const conditions = [
    client_id === undefined ? '' : 'and message.client_id = $client_id',
    about === undefined ? '' : `and message.${about.kind}_id = $about_id`,
    ids === undefined ? '' : 'and message.id = any($ids::uuid[])',
    after === undefined ? '' : 'and (message.at, message.sequence) < ($at::timestamptz, $sequence::bigint)',
    alsoNarrowed,
  ].join(' ');
  return sequelize.query<KeptLetter>(`${LETTERS} ${conditions} ${NEWEST_FIRST} limit ${Math.floor(most)}`, {
    bind: {
      business_id,
      ...(client_id === undefined ? {} : { client_id }),
      ...(about === undefined ? {} : { about_id: about.id }),
      ...(ids === undefined ? {} : { ids }),
      ...(after === undefined ? {} : { at: after[0], sequence: after[1] }),
      ...narrowedBy,
    },
    type: QueryTypes.SELECT,
  });
}

/**
 * The letters of several kinds, each in its own order and so many of each. What they say is fetched for all at once: the
 * planner is longer over that than over finding them.
 */
export async function lettersOfKinds(
  database: Database,
  business_id: string,
  kinds: readonly (keyof typeof KINDS)[],
  most: number,
): Promise<KeptLetter[][]> {
  const parts = kinds.map((kind, part) => {
    const [which, order] = KINDS[kind];
    return `(select message.id, ${part} as part, row_number() over (${order}) as nth from message
      where message.business_id = $business_id and message.status <> 'draft' ${which} ${order} limit ${Math.floor(most)})`;
  });
  const found = await database.sequelize.query<{ id: string; part: number }>(
    `select id, part from (${parts.join(' union all ')}) found order by part, nth`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  if (found.length === 0) return kinds.map(() => []);
  const ids = found.map(({ id }) => id);
  const letters = await lettersOf(database, business_id, { ids }, ids.length);
  const byId = new Map(letters.map((letter) => [letter.id, letter]));
  return kinds.map((_, part) => found.flatMap((one) => (one.part === part ? (byId.get(one.id) ?? []) : [])));
}

export async function letterById(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<KeptLetter | undefined> {
  const [found] = await sequelize.query<KeptLetter>(`${LETTERS} and message.id = $id`, {
    bind: { business_id, id },
    type: QueryTypes.SELECT,
  });
  return found;
}
