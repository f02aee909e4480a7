import type { Database } from '../../database';

/** A worker that has not been seen for so long has ended: its letters are another's. */
const GONE_SECONDS = 20;

/** Whether the worker that a row of `message` is claimed by is not seen any more. */
export const WORKER_IS_GONE = `not exists (select from worker
  where worker.id = claimed_by and seen_at > now() - interval '${GONE_SECONDS} seconds')`;

/** Whether any worker is there. */
export const A_WORKER_IS_SEEN = `exists (select from worker where seen_at > now() - interval '${GONE_SECONDS} seconds')`;

/** Says that a worker is alive, which holds on to what it has claimed. */
export async function seeWorker({ sequelize }: Database, id: string): Promise<void> {
  await sequelize.query(
    'insert into worker (id) values ($id) on conflict (id) do update set seen_at = now()',
    { bind: { id } },
  );
}

/** Takes leave of a worker, and of those not seen for a day. */
export async function dismissWorker({ sequelize }: Database, id: string): Promise<void> {
  await sequelize.query("delete from worker where id = $id or seen_at < now() - interval '1 day'", {
    bind: { id },
  });
}
