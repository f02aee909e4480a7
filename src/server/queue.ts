import PgBoss from 'pg-boss';
import type { Transaction } from 'sequelize';

/** Letters on their way out; the job is a wake-up, the state is in the message's row. */
export const SEND = 'send';
/** Work that is done by the clock. */
export const TIDY = 'tidy';

/** Short, or a job of a worker that was killed comes back only after minutes. */
const EXPIRES_SECONDS = 150;

export function openQueue(url: string): PgBoss {
  const boss = new PgBoss({
    connectionString: url,
    max: 3,
    maintenanceIntervalSeconds: 2,
    application_name: 'fair-quill',
  });
  boss.on('error', (error) => console.error(error));
  return boss;
}

/** Makes the queues where they are not there yet. */
export async function createQueues(boss: PgBoss): Promise<void> {
  for (const name of [SEND, TIDY]) await boss.createQueue(name, { name, expireInSeconds: EXPIRES_SECONDS });
}

let sender: PgBoss | undefined;

/** Asks for a letter to be sent, as part of the transaction that writes it: both are kept, or neither. */
export async function enqueueLetter(
  { business_id, id }: { business_id: string; id: string },
  startAfter: Date,
  transaction: Transaction,
): Promise<void> {
  // Never started: it only writes the job, over the transaction's own connection.
  sender ??= new PgBoss({ connectionString: 'postgres://unused' });
  const { connection } = transaction as unknown as {
    connection: { query: (sql: string, values: unknown[]) => Promise<{ rows: unknown[]; rowCount: number }> };
  };
  await sender.send(
    SEND,
    { business_id, id },
    {
      startAfter,
      retryLimit: 0,
      expireInSeconds: EXPIRES_SECONDS,
      db: { executeSql: (sql, values) => connection.query(sql, values) as never },
    },
  );
}
