import type { Database } from '../../data/database';

/** Removes sessions that ended a week ago and attempts to sign in that no limit counts any more. */
export async function tidySessions({ sequelize }: Database): Promise<void> {
  await sequelize.query(
    "delete from session where least(expires_at, coalesce(revoked_at, expires_at)) < now() - interval '7 days'",
  );
  await sequelize.query("delete from sign_in_attempt where at < now() - interval '1 day'");
}
