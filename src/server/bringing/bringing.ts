import type { OwnWays } from '../../core/bringing/brought';
import { namesIn } from '../../core/bringing/namesIn';
import {
  TAKEN_OUT_FOR_DAYS,
  type AskedMatches,
  type BringingState,
  type ComingRow,
  type ListedBringing,
  type Match,
  type NewBringing,
  type RememberedColumns,
} from '../../core/contract/bringing';
import { dayLately } from '../../core/describe/dayLately';
import {
  beginBringing as begin,
  bringingOf,
  keepBroughtRows,
  latestBringings as latest,
  letCome,
  letGo,
  rememberedColumns as remembered,
  type Bringing,
} from '../../data/repositories/bringing/bringings';
import { clientMatches, markedOnes } from '../../data/repositories/bringing/matches';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { formChoices } from '../records/formChoices';
import type { CurrentMember } from '../signIn/currentMember';

/** So many are listed. */
const MOST_LISTED = 20;

/** What files are read with. */
export const ownWays = forMember(async (member: CurrentMember): Promise<OwnWays> => {
  const { locale, own, ways } = await formChoices(member);
  const { business } = await businessBook(member.business_id);
  return {
    locale,
    currency: own.currency,
    zone: own.zone,
    hourCycle: business.hour_cycle === 12 ? 12 : 24,
    fields: [...own.fields],
    now: now(),
    services: ways.services.map(({ name, minutes }) => ({ name, ...(minutes ? { minutes } : {}) })),
  };
});

/** Begins to take a file in, once. */
export const beginBringing = forMember((member: CurrentMember, asked: NewBringing) =>
  begin(connection(), member, asked, new Date(now())),
);

/** What a file that is being given holds; undefined: there is none such. */
export const kindOfBringing = forMember(
  async ({ business_id }: CurrentMember, id: string) =>
    (await bringingOf(connection(), business_id, id))?.kind,
);

/** Keeps some of its rows; gives whether they are still taken. */
export const giveRows = forMember(
  ({ business_id }: CurrentMember, id: string, position: number, rows: readonly ComingRow[]) =>
    keepBroughtRows(connection(), business_id, id, position, rows),
);

/** What came of an act: how far it has come, or why nothing was done, in a sentence. */
type Done = BringingState | { stays: string } | undefined;

/** Lets a file come in whose rows were all given. Undefined: there is none such. */
export const bringIn = forMember(async (member: CurrentMember, id: string): Promise<Done> => {
  const missing = await letCome(connection(), member.business_id, id);
  if (missing === undefined) return undefined;
  if (missing > 0) return { stays: `${missing} of its rows have not arrived yet. Bring it in again.` };
  return bringingState(member, id);
});

/** Lets what came in go out again. Undefined: there is none such. */
export const takeOut = forMember(async (member: CurrentMember, id: string): Promise<Done> => {
  const since = new Date(now() - TAKEN_OUT_FOR_DAYS * 86_400_000);
  if (await letGo(connection(), member.business_id, id, since)) return bringingState(member, id);
  const there = await bringingState(member, id);
  return (
    there && {
      stays: `It came in more than ${TAKEN_OUT_FOR_DAYS} days ago, or is still coming in: it stays.`,
    }
  );
});

/** How far one has come. */
export const bringingState = forMember(
  async ({ business_id }: CurrentMember, id: string): Promise<BringingState | undefined> => {
    const found = await bringingOf(connection(), business_id, id);
    return found && stateOf(found);
  },
);

/** What was brought in lately, the latest first. */
export const latestBringings = forMember(
  async ({ business_id }: CurrentMember): Promise<ListedBringing[]> => {
    const found = await latest(connection(), business_id, MOST_LISTED);
    if (found.length === 0) return [];
    const dayOf = dayLately(await businessBook(business_id));
    const since = now() - TAKEN_OUT_FOR_DAYS * 86_400_000;
    return found.map((one) => ({
      ...stateOf(one),
      note: `${dayOf(one.begun_at.getTime())}, by ${one.member}`,
      canGoOut: one.state === 'in' && one.begun_at.getTime() > since,
    }));
  },
);

function stateOf({ id, kind, name, state, total, done, leftOver }: Bringing): BringingState {
  return { id, kind, name, state, total, done, leftOver };
}

/** What the columns of such a table were taken for the last time. */
export const rememberedColumns = forMember(
  async ({ business_id }: CurrentMember, heads: readonly string[]): Promise<RememberedColumns> =>
    (await remembered(connection(), business_id, heads)) ?? {},
);

/** Whose rows are, and what of them is there. */
export const matchesOf = forMember(
  async ({ business_id }: CurrentMember, { kind, rows }: AskedMatches): Promise<Match[]> => {
    const database = connection();
    const there = await markedOnes(
      database,
      business_id,
      kind,
      rows.flatMap(({ mark }) => mark ?? []),
    );
    const clients =
      kind === 'payment'
        ? new Map<number, Match['clients']>()
        : await clientMatches(
            database,
            business_id,
            rows.map(({ row, emails, phones, names }) => ({
              row,
              emails: emails.map((one) => one.toLowerCase()),
              phones: phones.map(lastFigures).filter((one) => one !== undefined),
              // Of a client a name is all of it; elsewhere it stands among other words.
              names:
                kind === 'client'
                  ? names.map((one) => one.toLowerCase())
                  : [...new Set(names.flatMap(namesIn))],
            })),
          );
    return rows.flatMap(({ row, mark }) => {
      const marked = mark === undefined ? undefined : there.get(mark);
      const found = clients.get(row);
      return marked || found ? [{ row, clients: found ?? [], ...(marked ? { there: marked } : {}) }] : [];
    });
  },
);

/** A telephone number as the database compares it; undefined where it has too few figures. */
function lastFigures(phone: string): string | undefined {
  const bare = phone.replace(/\D/g, '');
  return bare.length >= 7 ? bare.slice(-9) : undefined;
}
