import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A booking as a calendar has it; others are named by their keys. */
export interface BookingWithin {
  key: string;
  version: number;
  service: string;
  status: 'tentative' | 'confirmed' | 'done';
  starts_at: Date;
  ends_at: Date;
  member: string | null;
  client: string;
  client_name: string;
  town: string | null;
  items: string[];
}

/** A piece of time: from, and until before. */
export type Span = readonly [from: Date, until: Date];

/** The bookings that touch some pieces of time, in their order; neither those that were cancelled nor those that were missed. */
export async function bookingsWithin(
  { sequelize }: Database,
  business_id: string,
  spans: readonly Span[],
): Promise<BookingWithin[]> {
  return sequelize.query<BookingWithin>(
    `with span as (select * from unnest($from::timestamptz[], $until::timestamptz[]) as span(from_at, until_at)),
     found as (
       select booking.id from span join booking on booking.business_id = $business_id
         and booking.starts_at > from_at - interval '1 day' and booking.starts_at < until_at and booking.ends_at > from_at
       union
       select booking.id from span join booking on booking.business_id = $business_id
         and booking.ends_at - booking.starts_at > interval '1 day' and booking.ends_at > from_at and booking.starts_at < until_at)
     select booking.key, booking.version, service, status, starts_at, ends_at, member.key as member,
       client.key as client, client.name as client_name, coalesce(booking.location, client.address) ->> 'town' as town,
       array(select item.key::text from booking_item one join item on item.business_id = one.business_id and item.id = one.item_id
         where one.business_id = booking.business_id and one.booking_id = booking.id order by one.position) as items
     from found join booking on booking.business_id = $business_id and booking.id = found.id
     join client on client.business_id = booking.business_id and client.id = booking.client_id
     left join member on member.business_id = booking.business_id and member.id = booking.member_id
     where status in ('tentative', 'confirmed', 'done') order by starts_at, booking.key`,
    {
      bind: { business_id, from: spans.map(([from]) => from), until: spans.map(([, until]) => until) },
      type: QueryTypes.SELECT,
    },
  );
}
