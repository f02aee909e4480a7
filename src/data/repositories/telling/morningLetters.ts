import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A morning letter whose hour has come. */
export interface DueMorning {
  business_id: string;
  member_id: string;
  email: string;
  /** the day where the business is, ISO */
  day: string;
}

/** At which hour a member wants one; undefined: not at all. */
export async function morningHour(
  { models }: Database,
  business_id: string,
  member_id: string,
): Promise<number | undefined> {
  const found = await models.morning_letter.findOne({ where: { business_id, member_id }, raw: true });
  return (found as unknown as { hour: number } | null)?.hour;
}

/** Has a member get one at an hour from the next time on that it comes, or (null) none. @param at now */
export async function keepMorningHour(
  { sequelize, models }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  hour: number | null,
  at: Date,
): Promise<void> {
  if (hour === null) return void (await models.morning_letter.destroy({ where: { business_id, member_id } }));
  await sequelize.query(
    `insert into morning_letter (business_id, member_id, hour, last_on)
     select id, $member_id, $hour::smallint, case when extract(hour from clock.here) >= $hour::smallint then clock.here::date end
     from business, lateral (select $at::timestamptz at time zone time_zone as here) clock where id = $business_id
     on conflict (business_id, member_id) do update
       set hour = excluded.hour, last_on = coalesce(excluded.last_on, morning_letter.last_on), again_at = '-infinity'`,
    { bind: { business_id, member_id, hour, at } },
  );
}

/** One that is not written within so many hours is none any more: the morning is over. */
const HOURS = 4;

/** Takes the next one that is due, for this worker alone: none is taken twice, and one whose worker is killed comes the next morning. */
export async function takeDueMorning({ sequelize }: Database, at: Date): Promise<DueMorning | undefined> {
  const [taken] = await sequelize.query<DueMorning>(
    `with due as (
       select one.business_id, member_id, member.email, ($at::timestamptz at time zone business.time_zone)::date as day
       from morning_letter one
       join business on business.id = one.business_id
       join member on member.business_id = one.business_id and member.id = one.member_id
       where again_at <= $at::timestamptz
         and extract(hour from $at::timestamptz at time zone business.time_zone) between hour and hour + ${HOURS - 1}
         and last_on is distinct from ($at::timestamptz at time zone business.time_zone)::date
       limit 1 for update of one skip locked)
     update morning_letter one set last_on = day from due
     where one.business_id = due.business_id and one.member_id = due.member_id
     returning one.business_id, one.member_id, email, day::text`,
    { bind: { at }, type: QueryTypes.SELECT },
  );
  return taken;
}

/** It could not be handed over: it is due again from a moment on. */
export async function tryMorningAgain(
  { sequelize }: Database,
  { business_id, member_id }: DueMorning,
  again: Date,
): Promise<void> {
  await sequelize.query(
    'update morning_letter set last_on = null, again_at = $again where business_id = $business_id and member_id = $member_id',
    { bind: { business_id, member_id, again } },
  );
}
