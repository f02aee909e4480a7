import PgBoss from 'pg-boss';

/** Work that is done by the clock. */
export const TIDY = 'tidy';

/** The queue of what is done by the clock. Its tables are made when the database is prepared, by their owner. */
export function openJobs(url: string, { migrate = false } = {}): PgBoss {
  const boss = new PgBoss({ connectionString: url, max: 2, application_name: 'fair-quill', migrate });
  boss.on('error', (error) => console.error(error));
  return boss;
}

/** Makes the tables of the queue, and the queues in it. */
export async function prepareJobs(url: string): Promise<void> {
  const boss = openJobs(url, { migrate: true });
  await boss.start();
  await boss.createQueue(TIDY);
  await boss.stop({ graceful: false });
}
