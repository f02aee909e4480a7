import { UniqueConstraintError } from 'sequelize';
import type { SendAnswer } from '../../core/contract/letters';
import { isoOf } from '../../core/dates/civil';
import { readMoment, type Moment } from '../../core/dates/zone';
import { newClientOf } from '../../core/records/which/newClient';
import { whyNotLater } from '../../core/writing/laterMoments';
import { dropDraft } from '../../data/repositories/drafts';
import { makeClientOfLetter } from '../../data/repositories/sending/clientOfLetter';
import { settleEarlier } from '../../data/repositories/sending/curedLetters';
import { letterById } from '../../data/repositories/letters';
import { keepOutgoing, type Goes } from '../../data/repositories/sending/keepOutgoing';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { outgoingOf } from './outgoingOf';
import { readyToGo, type ReadyLetter, type WrittenLetter } from './readyToGo';

/**
 * Takes a letter to be sent, as it is ready to go: now, or at the hour that its writer chose. The exact text, HTML, recipients and
 * values are written in one transaction, and are the queue of what is to be sent.
 */
export const sendLetter = forMember(
  async (member: CurrentMember, letter: WrittenLetter): Promise<SendAnswer> =>
    keepReady(member, letter, { elsewhere: false }),
);

/** Notes a letter that has gone another way, with all that it said: it is not sent from here. */
export const noteElsewhere = forMember(
  async (member: CurrentMember, letter: WrittenLetter): Promise<SendAnswer> =>
    keepReady(member, letter, { elsewhere: true }),
);

async function keepReady(
  member: CurrentMember,
  letter: WrittenLetter,
  { elsewhere }: { elsewhere: boolean },
): Promise<SendAnswer> {
  const { business_id } = member;
  const already = async (): Promise<SendAnswer | undefined> => {
    const before = await letterById(connection(), business_id, letter.id);
    return before && { result: 'already', status: before.status, goesIn: before.goes_in };
  };
  const before = await already();
  if (before) return before;
  const ready = await readyToGo(member, letter);
  if ('result' in ready) return ready;
  const { goesAt } = letter.choices;
  const moment = readMoment(goesAt ?? '');
  const notThen = goesAt === undefined ? undefined : whyNotLater(moment, ready.book);
  if (notThen) return { result: 'stopped', stops: [notThen] };
  const goes = elsewhere ? 'elsewhere' : goesWhen(moment, ready);
  let client: string | undefined;
  try {
    client = await keep(member, letter, ready, goes);
  } catch (error) {
    // The same letter came twice at once; the other one was first.
    const first = error instanceof UniqueConstraintError && (await already());
    if (!first) throw error;
    return first;
  }
  const made = client === undefined ? {} : { client };
  if (goes === 'elsewhere') return { result: 'noted', ...made };
  return { ...made, ...(goes.later ? { result: 'later' } : { result: 'going', goesIn: goes.in * 1000 }) };
}

/** At the moment that was chosen for later, or when it can no longer be taken back. */
function goesWhen(moment: Moment | undefined, { takeBackSeconds }: ReadyLetter): Exclude<Goes, 'elsewhere'> {
  return moment === undefined ? { in: takeBackSeconds } : { in: (moment - now()) / 1000, later: true };
}

/** @returns the key of the client that was made with it */
async function keep(
  member: CurrentMember,
  letter: WrittenLetter,
  ready: ReadyLetter,
  goes: Goes,
): Promise<string | undefined> {
  const { business_id } = member;
  const { id, start, templateVersion, document, facts } = letter;
  const { models, inTransaction } = connection();
  const outgoing = await outgoingOf(member, letter, ready);
  const nobody = ready.record.client_id === null && start.kind === 'client' && newClientOf(start.key);
  const client = await inTransaction(async () => {
    const client = nobody
      ? await makeClientOfLetter(connection(), business_id, nobody, isoOf(ready.book.today))
      : undefined;
    const of = client ? { client_id: client.id, made_client: client.made } : {};
    const message = { ...outgoing.message, ...of };
    await keepOutgoing(connection(), { ...outgoing, message }, new Date(now()), goes);
    if (goes !== 'elsewhere' && goes.later)
      await models.letter_for_later.create({
        business_id,
        message_id: id,
        starting_kind: start.kind,
        starting_key: client?.key ?? start.key,
        template_version: templateVersion,
        document,
        base: ready.filled.document,
        facts,
      });
    return client?.made ? client.key : undefined;
  });
  await settleEarlier(connection(), { business_id, id });
  await dropDraft(connection(), { business_id, member_id: member.id }, id);
  return client;
}
