import { randomBytes } from 'node:crypto';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { isoMoment } from '../../core/dates/zone';
import { calendarOf, uidOfBooking } from '../../core/takingOut/calendarOf';
import {
  bookingsFrom,
  businessOfFeed,
  calendarFeedOf,
  setCalendarFeed,
} from '../../data/repositories/calendarFeed';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

const TOKEN_BYTES = 24;
/** So far back a calendar goes, and so many bookings are in it. */
const BACK = 92 * 86_400_000;
const MOST = 5_000;

/** The last part of a member's address of the calendar; undefined: they have none. */
export const ownCalendarFeed = forMember(async (member: CurrentMember) => {
  const feed = await calendarFeedOf(connection(), member);
  return feed && { token: feed.token, wasRead: feed.read_at !== null };
});

/** Gives a member an address of the calendar, another where they have one, or takes it away. */
export const changeCalendarFeed = forMember(async (member: CurrentMember, wanted: boolean): Promise<void> => {
  const token = wanted ? randomBytes(TOKEN_BYTES).toString('base64url') : undefined;
  await setCalendarFeed(connection(), member, token, new Date(now()));
});

/** The bookings of whose address this is, as a calendar (RFC 5545). Undefined: it is nobody's. */
export async function calendarFeed(token: string): Promise<string | undefined> {
  const database = connection();
  const business_id = await businessOfFeed(database, token);
  if (business_id === undefined) return undefined;
  return database.inBusiness(business_id, async () => {
    const zone = (await zoneOfBusiness(database, business_id)) ?? SCHEMA_DEFAULTS.timeZone;
    const bookings = await bookingsFrom(database, business_id, new Date(now() - BACK), MOST);
    const business = (await database.models.business.findByPk(business_id, {
      attributes: ['name'],
      raw: true,
    })) as unknown as { name: string };
    return calendarOf(
      business.name,
      bookings.map(({ key, version, service, status, starts_at, ends_at, location, notes, client }) => ({
        uid: uidOfBooking(business_id, key),
        version,
        title: `${service}, ${client}`,
        status,
        starts_at: isoMoment(starts_at.getTime(), zone),
        ends_at: isoMoment(ends_at.getTime(), zone),
        ...(location ? { location } : {}),
        ...(notes ? { notes } : {}),
      })),
      now(),
    );
  });
}
