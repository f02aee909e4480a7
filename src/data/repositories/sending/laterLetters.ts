import { QueryTypes } from 'sequelize';
import type { CopyDocument } from '../../../core/document/copyDocument';
import type { LetterFacts } from '../../../core/writing/factsOf';
import type { Choices } from '../../../core/writing/letter';
import type { Database } from '../../database';
import { dropUnnamed } from '../files/sweepRemoved';
import { addEvent } from './deliveryEvents';
import { HOLDING } from './holding';
import { keepGoing, type Outgoing } from './keepOutgoing';
import { machine } from './ownMark';

interface OfLetter {
  business_id: string;
  id: string;
}

/** What a letter for later was written with. */
export interface LaterLetter {
  id: string;
  starting_kind: string;
  starting_key: string;
  template_version: number;
  choices: Choices;
  document: CopyDocument;
  /** as it was filled when it was written */
  base: CopyDocument;
  facts: LetterFacts;
}

/** A letter whose hour has come, with whoever wrote it. */
export interface DueLetter extends OfLetter {
  member: { business_id: string; id: string; key: string };
}

/** Letters for later whose hour has come, of all businesses; none while this database is a copy that nobody has looked at. */
export async function dueLater({ sequelize }: Database, most: number): Promise<DueLetter[]> {
  return sequelize.query<DueLetter>(
    `select message.business_id, message.id,
       jsonb_build_object('business_id', member.business_id, 'id', member.id, 'key', member.key) as member
     from message join member on member.business_id = message.business_id and member.id = message.member_id
     join business on business.id = message.business_id
     where status = 'later' and goes_at <= now() and goes_at > now() - make_interval(hours => hold_after_hours)
       and exists (select from own_mark where mark = present_mark($machine))
     order by goes_at limit ${Math.floor(most)}`,
    { bind: { machine: machine() }, type: QueryTypes.SELECT },
  );
}

/** Takes a letter in hand that is still for later; undefined: another has it in hand, or it was taken back. */
export async function takeLater(database: Database, letter: OfLetter): Promise<LaterLetter | undefined> {
  return writtenWith(database, letter, `status = 'later'`, 'for update of message skip locked');
}

/** What a letter was written with that is for later, waits for a person, or was taken back. */
export async function laterLetter(database: Database, letter: OfLetter): Promise<LaterLetter | undefined> {
  return writtenWith(database, letter, `status in ('later', 'held', 'taken back')`, '');
}

async function writtenWith(
  { sequelize }: Database,
  { business_id, id }: OfLetter,
  state: string,
  hold: string,
): Promise<LaterLetter | undefined> {
  const [found] = await sequelize.query<LaterLetter>(
    `select id, starting_kind, starting_key, kept.template_version, choices, document, base, facts
     from message join letter_for_later kept on kept.business_id = message.business_id and kept.message_id = message.id
     where message.business_id = $business_id and message.id = $id and ${state} ${hold}`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

/** A letter that was filled again goes now, as it was filled; what it was written with is needed no more. */
export async function goLater(
  database: Database,
  letter: OfLetter,
  { message, from, recipients, files, holds }: Outgoing,
  at: Date,
): Promise<void> {
  const { models, sequelize, inTransaction } = database;
  const where = { business_id: letter.business_id, message_id: letter.id };
  await inTransaction(async () => {
    const before = await models.attachment.findAll({
      where,
      attributes: ['business_id', 'sha256'],
      raw: true,
    });
    await models.message_recipient.destroy({ where });
    await models.attachment.destroy({ where });
    await models.letter_for_later.destroy({ where });
    await keepGoing(database, letter, { recipients, files, holds });
    await models.message.update(
      {
        ...message,
        status: 'going',
        from_name: from.name,
        from_address: from.email,
        goes_at: sequelize.literal('now()') as unknown as Date,
        version: sequelize.literal('version + 1') as unknown as number,
      },
      { where: { business_id: letter.business_id, id: letter.id } },
    );
    await addEvent({ sequelize }, letter, 'going', at, undefined);
    // An invoice that was made when it was written is another by now.
    await dropUnnamed(database, before as unknown as { business_id: string; sha256: string }[]);
  });
}

/** A letter for later waits for a person, and says why. Nothing where it is no longer for later. */
export async function holdLater(
  { sequelize, inTransaction }: Database,
  letter: OfLetter,
  reason: string,
  at: Date,
): Promise<void> {
  await inTransaction(async () => {
    const held = await sequelize.query(
      `update message set ${HOLDING}, reason = $reason where business_id = $business_id and id = $id and status = 'later' returning id`,
      { bind: { ...letter, reason }, type: QueryTypes.SELECT },
    );
    if (held.length) await addEvent({ sequelize }, letter, 'held', at, reason);
  });
}

/** Takes a letter out of what is to go, to be written on. Nothing where it is out already. */
export async function takeOut(
  { sequelize, inTransaction }: Database,
  letter: OfLetter,
  at: Date,
): Promise<void> {
  await inTransaction(async () => {
    const taken = await sequelize.query(
      `update message set status = 'taken back', goes_at = null, reason = null, version = version + 1
       where business_id = $business_id and id = $id and status in ('later', 'held') returning id`,
      { bind: { ...letter }, type: QueryTypes.SELECT },
    );
    if (taken.length) await addEvent({ sequelize }, letter, 'taken back', at, undefined);
  });
}
