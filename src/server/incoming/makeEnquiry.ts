import type { EnquiryFacts } from '../../core/contract/records/enquiry';
import { isoOf } from '../../core/dates/civil';
import { isoMoment } from '../../core/dates/zone';
import { tieToEnquiry } from '../../data/repositories/incoming/tieMessages';
import { insertKept } from '../../data/repositories/records/keptRecords';
import { workWays } from '../../data/repositories/records/workWays';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { oneLetter } from '../letters/oneLetter';
import type { CurrentMember } from '../signIn/currentMember';
import { enquiryInLetter } from './answersWaiting';

export type EnquiryMade =
  | { result: 'made'; key: string }
  /** it is somebody's by now, or did not come in */
  | { result: 'not now' }
  | { result: 'none' };

/** Makes an enquiry of a message from somebody unknown, as it is read out of it: once, however often it is asked for. */
export const makeEnquiry = forMember(async (member: CurrentMember, id: string): Promise<EnquiryMade> => {
  const letter = await oneLetter(member, id);
  if (!letter) return { result: 'none' };
  const { business_id } = member;
  const { about, client } = letter;
  if (about?.kind === 'enquiry') return { result: 'made', key: about.key };
  if (letter.direction === 'out' || client || about) return { result: 'not now' };
  const database = connection();
  const book = await businessBook(business_id);
  const services = (await workWays(database, business_id)).services.map(({ name }) => name);
  const asks = enquiryInLetter(letter, book, services);
  const key = await insertKept(database, business_id, 'enquiry', id, {
    received_at: isoMoment(letter.at.getTime(), book.zone),
    via: 'email',
    ...said('name', asks.name?.slice(0, MOST_NAME)),
    ...said('email', asks.email),
    ...said('phone', asks.phone),
    ...said('service', asks.service),
    message: asks.message.slice(0, MOST_MESSAGE),
    wanted_on: [...asks.days].sort((a, b) => a - b).map(isoOf),
    status: 'waiting',
  });
  await tieToEnquiry(database, business_id, { id, enquiry: key });
  return { result: 'made', key };
});

/** As long as the form for enquiries takes them (contract/records/enquiry). */
const MOST_NAME = 200;
const MOST_MESSAGE = 20_000;

function said<Name extends keyof EnquiryFacts>(name: Name, value: string | undefined): Partial<EnquiryFacts> {
  return value ? { [name]: value } : {};
}
