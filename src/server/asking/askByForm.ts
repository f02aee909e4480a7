import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { AskedByForm } from '../../core/contract/enquiryForm';
import { isoMoment } from '../../core/dates/zone';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { fillTemplate } from '../../core/fill/fillTemplate';
import { readPassages } from '../../core/fill/paths/scope';
import { escapeHtml } from '../../core/fill/write/escape';
import { RecordBook } from '../../core/records/recordBook';
import { situationFrom } from '../../core/records/which/situation';
import { enquiryFormAt, type KeptEnquiryForm } from '../../data/repositories/enquiryForm';
import { insertKept } from '../../data/repositories/records/keptRecords';
import { workWays } from '../../data/repositories/records/workWays';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { schemaOfBusiness } from '../../data/repositories/schemaOfBusiness';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { readTime, signTime } from './signedTime';

/** So many enquiries are taken from one address within an hour; a school behind one address has more than one parent. */
const MOST_IN_AN_HOUR = 10;
/** Without a server in front that tells addresses apart, all come from one. */
const MOST_FROM_ANYWHERE = 60;

/** What a page of the form shows. */
export interface FormToShow {
  business: string;
  locale: string;
  intro?: string;
  /** the services that can be chosen */
  services: string[];
  sites: string[];
  /** what it is sent back with */
  time: string;
}

/** The open form of an address; undefined: there is none. */
export async function formToShow(token: string): Promise<FormToShow | undefined> {
  const form = await enquiryFormAt(connection(), token);
  if (!form) return undefined;
  const { business_id, secret, intro, asks_service, sites } = form;
  return connection().inBusiness(business_id, async () => {
    const { business } = (await recordsOfBusiness(connection(), business_id, { clients: [] }))!;
    const services = asks_service ? (await workWays(connection(), business_id)).services : [];
    return {
      business: business.name ?? '',
      locale: business.locale ?? 'en-GB',
      ...(intro ? { intro } : {}),
      services: services.map(({ name }) => name),
      sites,
      // How long it lay open is a matter of the machine's clock, whatever day the business has.
      time: signTime(secret, Date.now(), randomUUID()),
    };
  });
}

/** What came of asking. */
export type AskingByForm =
  /** @property html what the owner has worded, or a plain word of thanks */
  { result: 'taken'; html: string } | { result: 'gone' | 'late' | 'too many' };

/**
 * Writes an enquiry down that came by the form: once, however often it is sent. One that a robot sent is thanked and left out.
 * @param from where it comes from
 */
export async function askByForm(
  token: string,
  asked: AskedByForm,
  { time, from, isRobot }: { time: string; from: string; isRobot: boolean },
): Promise<AskingByForm> {
  const form = await enquiryFormAt(connection(), token);
  if (!form) return { result: 'gone' };
  const read = readTime(form.secret, time, Date.now());
  if (read === 'late') return { result: 'late' };
  if (isRobot || read === 'forged' || read === 'soon') return { result: 'taken', html: thanks(asked) };
  if (await isTooMany(form.business_id, from)) return { result: 'too many' };
  return connection().inBusiness(form.business_id, () => take(form, read.id, asked));
}

async function take(form: KeptEnquiryForm, id: string, asked: AskedByForm): Promise<AskingByForm> {
  const { business_id, passage } = form;
  const database = connection();
  const zone = await zoneOfBusiness(database, business_id);
  const { name, email, phone, service, days, message } = asked;
  const key = await insertKept(database, business_id, 'enquiry', id, {
    received_at: isoMoment(now(), zone),
    via: 'the form on your site',
    name,
    email,
    phone,
    service,
    message,
    wanted_on: [...new Set(days)].sort(),
    status: 'waiting',
  });
  const worded = passage ? await inOwnWords(business_id, passage, id, key) : undefined;
  return { result: 'taken', html: worded ?? thanks(asked) };
}

/** What the owner has worded, filled from the enquiry alone; undefined where something in it is missing. */
async function inOwnWords(
  business_id: string,
  passage: string,
  id: string,
  key: string,
): Promise<string | undefined> {
  const database = connection();
  const passages = await passagesOfBusiness(database, business_id);
  const words = passages.find((one) => one.key === passage);
  const records = await recordsOfBusiness(database, business_id, { clients: [], enquiries: [id] });
  const book = new RecordBook(records!, now());
  const [sender] = book.members.values();
  const situation = sender && situationFrom(book, { kind: 'enquiry', key }, { sender });
  if (!words || !situation) return undefined;
  const { compiled } = compileTemplate(
    { head: { name: words.name, group: '', startsFrom: 'enquiry', subject: [] }, document: words.document },
    { schema: await schemaOfBusiness(database, business_id), passages: readPassages(passages) },
  );
  const filled = compiled && fillTemplate(compiled, situation);
  return filled && filled.holes.length === 0 ? filled.html : undefined;
}

function thanks({ name }: AskedByForm): string {
  return `<p>Thank you, ${escapeHtml(name)}. Your message has arrived, and you will be answered.</p>`;
}

async function isTooMany(business_id: string, from: string): Promise<boolean> {
  const { sequelize } = connection();
  const subject = `form of ${business_id}`;
  const [tries] = await sequelize.query<{ tries: number }>(
    `with this_one as (insert into sign_in_attempt (subject, address, at) values ($subject, $from, clock_timestamp()))
     select count(*)::int as tries from sign_in_attempt
     where subject = $subject and address = $from and at > now() - interval '1 hour'`,
    { bind: { subject, from: `form ${from}` }, type: QueryTypes.SELECT },
  );
  return (tries?.tries ?? 0) >= (from === 'unknown' ? MOST_FROM_ANYWHERE : MOST_IN_AN_HOUR);
}
