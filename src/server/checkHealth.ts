import { sendingNow } from '../data/repositories/sending/sendingState';
import { connection } from './connection';

export interface Health {
  database: 'answers' | 'silent';
  worker?: 'seen' | 'not seen';
  /** letters whose time has come and that have not gone */
  waiting?: number;
  /** since when the mail server takes none, of some senders or of all */
  mailServer?: 'takes letters' | 'takes none' | 'takes none of some senders';
}

/** Whether the application can work: show what it has, and send. No words of a letter or of a server are in it. */
export async function checkHealth(): Promise<Health> {
  try {
    const { acrossBusinesses } = connection();
    const { sends, waiting, troubles } = await acrossBusinesses(() => sendingNow(connection()));
    return {
      database: 'answers',
      worker: sends ? 'seen' : 'not seen',
      waiting,
      mailServer:
        troubles.length === 0
          ? 'takes letters'
          : troubles.some(({ account_id, sender }) => account_id === null && sender === '')
            ? 'takes none'
            : 'takes none of some senders',
    };
  } catch {
    return { database: 'silent' };
  }
}
