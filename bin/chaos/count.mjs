/**
 * What went wrong and what is uncertain, of letters that were written while things were killed.
 * @param states the database's word for each, by id
 * @param arrivals the Message-IDs that the mail server wrote to the disk, one a line
 * @param takenBack the ids that the application said were taken back
 */
export function count(ids, states, arrivals, takenBack) {
  const sorted = sort(ids, states, arrivals, takenBack);
  return Object.fromEntries(Object.entries(sorted).map(([what, those]) => [what, those.length]));
}

/** The ids of those of which something went wrong. */
export function wrongOf(ids, states, arrivals, takenBack) {
  const sorted = sort(ids, states, arrivals, takenBack);
  return WRONG.flatMap((what) => sorted[what]);
}

function sort(ids, states, arrivals, takenBack) {
  const times = new Map();
  for (const line of arrivals.split('\n').filter(Boolean)) {
    const id = line.split('@')[0];
    times.set(id, (times.get(id) ?? 0) + 1);
  }
  const those = (test) => ids.filter((id) => test(states.get(id), times.get(id) ?? 0, id));
  return {
    sent: those((state, arrived) => state === 'sent' && arrived === 1),
    'taken back': those((state, arrived) => state === 'taken back' && arrived === 0),
    flagged: those((state) => state === 'may have arrived'),
    'flagged that had arrived': those((state, arrived) => state === 'may have arrived' && arrived > 0),
    lost: those((state, arrived) => state === undefined || (state === 'sent' && arrived === 0)),
    doubled: those((_, arrived) => arrived > 1),
    'taken back and sent': those(
      (state, arrived, id) => (state === 'taken back' || takenBack.has(id)) && arrived > 0,
    ),
    stuck: those((state) => state === 'going'),
    failed: those((state) => state === 'failed' || state === 'held'),
  };
}

/** What must be none. */
export const WRONG = ['lost', 'doubled', 'taken back and sent', 'stuck', 'failed'];
