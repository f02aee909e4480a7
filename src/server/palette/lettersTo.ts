import type { PaletteLetter } from '../../core/contract/palette';
import { nameStart } from '../../core/describe/nameStart';
import { newClientOf } from '../../core/records/which/newClient';
import type { Situation, StartingPoint } from '../../core/records/which/situation';
import { hasWords, searchable } from '../../core/searching/finder';
import { WritingDesk } from '../../core/writing/writingDesk';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startOfLetter } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { standingTemplates, type StandingTemplate } from '../templates/standingTemplates';

/** The templates whose names have some words, without those that rest. */
export async function templatesCalled(
  member: CurrentMember,
  words: readonly string[],
): Promise<StandingTemplate[]> {
  return (await standingTemplates(member)).filter(
    ({ listed: { head } }) => !head.resting && hasWords(searchable(head.name), words),
  );
}

/**
 * The letters to a client from some templates, each from the record that it starts from; those that fit first. To an address only those
 * that go to it.
 * @param key the client’s, or one that says an address (newClientOf)
 */
export async function lettersTo(
  member: CurrentMember,
  { key, name }: { key: string; name: string },
  templates: readonly StandingTemplate[],
): Promise<PaletteLetter[]> {
  if (templates.length === 0) return [];
  const { business_id } = member;
  const client: StartingPoint = { kind: 'client', key };
  const record = await startOfLetter(connection(), business_id, client);
  if (!record) return [];
  const records = await recordsOfBusiness(connection(), business_id, scopeFrom(record));
  const desk = new WritingDesk({
    records: records!,
    now: now(),
    templates: templates.map(({ listed }) => listed),
    passages: [],
    signatures: [],
    member: member.key,
  });
  const known = desk.situation(client);
  const address = newClientOf(key)?.email.toLowerCase();
  const letters = templates.flatMap(({ listed }) => {
    const { startsFrom } = listed.head;
    const start = known && (startsFrom === 'client' ? client : startOf(startsFrom, known));
    const situation = start && desk.situation(start, { template: listed.key });
    if (!situation || (address !== undefined && !goesTo(situation, address))) return [];
    const isFit = desk.fitting(situation, [], [listed]).fitting.length > 0;
    const letter: PaletteLetter = {
      name,
      from: `${start.kind}:${start.key}`,
      template: { key: listed.key, name: listed.head.name },
      ...(start.kind === 'client' ? {} : { note: nameStart(situation) }),
    };
    return [{ letter, isFit }];
  });
  return letters.sort((a, b) => Number(b.isFit) - Number(a.isFit)).map(({ letter }) => letter);
}

function goesTo({ recipients }: Situation, address: string): boolean {
  return recipients.some(({ record }) => record.data.email?.toLowerCase() === address);
}

/** The client's record that a template of a kind would start from. */
function startOf(kind: StartingPoint['kind'], situation: Situation): StartingPoint | undefined {
  const key = situation[kind]?.record.key;
  return key === undefined ? undefined : { kind, key };
}
