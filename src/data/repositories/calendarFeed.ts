import { QueryTypes } from 'sequelize';
import type { AddressData } from '../../core/records/recordsFile';
import type { Database } from '../database';

/** A member's address of the business's calendar. */
export interface CalendarFeed {
  token: string;
  made_at: Date;
  read_at: Date | null;
}

export async function calendarFeedOf(
  { sequelize }: Database,
  { business_id, id }: { business_id: string; id: string },
): Promise<CalendarFeed | undefined> {
  const [feed] = await sequelize.query<CalendarFeed>(
    'select token, made_at, read_at from calendar_feed where business_id = $business_id and member_id = $id',
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return feed;
}

/** Gives a member another address; the one before ends. @param token undefined: none any more */
export async function setCalendarFeed(
  { sequelize }: Database,
  { business_id, id }: { business_id: string; id: string },
  token: string | undefined,
  at: Date,
): Promise<void> {
  const bind = { business_id, id };
  await sequelize.query('delete from calendar_feed where business_id = $business_id and member_id = $id', {
    bind,
  });
  if (token !== undefined)
    await sequelize.query(
      'insert into calendar_feed (business_id, member_id, token, made_at) values ($business_id, $id, $token, $at)',
      { bind: { ...bind, token, at } },
    );
}

/** Whose calendar an address is, which is not known before; that it was read is noted, once an hour. */
export async function businessOfFeed(
  { sequelize, acrossBusinesses }: Database,
  token: string,
): Promise<string | undefined> {
  return acrossBusinesses(async () => {
    const [feed] = await sequelize.query<{ business_id: string; member_id: string; stale: boolean }>(
      `select business_id, member_id, read_at is null or read_at < now() - interval '1 hour' as stale
       from calendar_feed where token = $token`,
      { bind: { token }, type: QueryTypes.SELECT },
    );
    if (feed?.stale)
      await sequelize.query('update calendar_feed set read_at = now() where token = $token', {
        bind: { token },
      });
    return feed?.business_id;
  });
}

/** A booking of a feed. */
export interface FeedBooking {
  key: string;
  version: number;
  service: string;
  status: string;
  starts_at: Date;
  ends_at: Date;
  location: AddressData | null;
  notes: string | null;
  client: string;
}

/** The bookings of a business from a day on, those that were cancelled, too. */
export async function bookingsFrom(
  { sequelize }: Database,
  business_id: string,
  from: Date,
  most: number,
): Promise<FeedBooking[]> {
  return sequelize.query<FeedBooking>(
    `select booking.key, booking.version, service, status, starts_at, ends_at, coalesce(location, client.address) as location,
       booking.notes, client.name as client
     from booking join client on client.business_id = booking.business_id and client.id = booking.client_id
     where booking.business_id = $business_id and starts_at > $from order by starts_at limit $most::int`,
    { bind: { business_id, from, most }, type: QueryTypes.SELECT },
  );
}
