import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** What is asked for when a day is looked at: an enquiry’s service by its key, or a service by its name; neither: any. */
export interface RoomAsked {
  enquiry?: string | undefined;
  service?: string | undefined;
}

/** What decides whether there is room for a visit on a day. */
export interface RoomFor {
  /** how long the service usually takes; absent: it is none of the usual ones */
  minutes: number | null;
  /** minutes from one client to the next */
  travel: number;
  /** "08:00" */
  day_from: string;
  day_until: string;
  /** the keys of those who do visits: who has had one within the year or has one to come */
  members: string[];
}

/** What decides whether there is room on a day for what is asked. */
export async function roomFor(
  { sequelize }: Database,
  business_id: string,
  { enquiry, service }: RoomAsked,
  now: Date,
): Promise<RoomFor> {
  const [found] = await sequelize.query<RoomFor>(
    `select travel_minutes as travel, to_char(day_from, 'HH24:MI') as day_from, to_char(day_until, 'HH24:MI') as day_until,
       (select minutes from service where service.business_id = $business_id and lower(name) = lower(coalesce($service,
         (select enquiry.service from enquiry where enquiry.business_id = $business_id and enquiry.key = $enquiry)))) as minutes,
       array(select key::text from member where member.business_id = $business_id and exists (
         select from booking where booking.business_id = $business_id and booking.member_id = member.id
           and starts_at > $now::timestamptz - interval '1 year' and status <> 'cancelled')) as members
     from work_ways where business_id = $business_id`,
    {
      bind: { business_id, enquiry: enquiry ?? null, service: service ?? null, now },
      type: QueryTypes.SELECT,
    },
  );
  return found!;
}
