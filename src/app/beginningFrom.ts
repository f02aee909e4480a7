import type { BegunFrom } from '../server/records/beginRecord';

/** What stands behind a path's question mark. */
export type Asked = Readonly<Record<string, string | string[] | undefined>>;

const NAMES = ['client', 'project', 'booking', 'enquiry', 'at'] as const;

/** What a new record is begun from, as its page's address says it; what is none is left out. */
export function beginningFrom(asked: Asked): BegunFrom {
  return Object.fromEntries(
    NAMES.flatMap((name) => {
      const said = asked[name];
      return typeof said === 'string' && said.length <= 100 && !said.includes('\0') ? [[name, said]] : [];
    }),
  );
}
