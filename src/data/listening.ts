import pg from 'pg';

/** Pauses before a connection that has ended is opened again, in milliseconds. */
const PAUSES = [250, 1000, 5000, 15_000];

/**
 * Listens to what the database tells of the letters of all businesses (tell_of_letters), over a connection of its own, which is opened again
 * whenever it ends.
 * @param onNews hears of which business something has become of a letter; undefined: it is listened from now on, and something may have been missed before, of any
 */
export function listenForLetters(
  url: string,
  onNews: (business_id: string | undefined) => void,
): { stop: () => void } {
  let stopped = false;
  let client: pg.Client | undefined;
  let failures = 0;
  const again = () => {
    if (stopped) return;
    setTimeout(() => void open(), PAUSES[Math.min(failures++, PAUSES.length - 1)]).unref();
  };
  const open = async () => {
    const mine = new pg.Client({ connectionString: url, keepAlive: true });
    client = mine;
    let ended = false;
    const end = () => {
      if (ended) return;
      ended = true;
      mine.end().catch(() => undefined);
      again();
    };
    mine.on('error', end);
    mine.on('end', end);
    mine.on('notification', ({ payload }) => onNews(payload));
    try {
      await mine.connect();
      await mine.query('listen letters');
      onNews(undefined);
      failures = 0;
    } catch {
      end();
    }
  };
  void open();
  return {
    stop: () => {
      stopped = true;
      client?.end().catch(() => undefined);
    },
  };
}
