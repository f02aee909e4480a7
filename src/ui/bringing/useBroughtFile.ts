'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { BroughtKind, BroughtRow, Mends, OwnWays } from '../../core/bringing/brought';
import type { TableKind } from '../../core/bringing/table/columns';
import { MOST_BYTES } from '../../core/bringing/limits';
import { askedOf, saidBefore, stateOfRow, type Decision, type RowState } from '../../core/bringing/rowState';
import {
  ROWS_AT_ONCE,
  type ComingRow,
  type Match,
  type RememberedColumns,
} from '../../core/contract/bringing';
import { newId } from '../shell/newId';
import { askServer } from '../writing/askServer';
import { fileHere, keepFileHere, type FileHere } from './fileHere';
import { FileReading } from './fileReader';
import type { Column, ReadRow, ToldOfFile } from './messages';

/** What is kept on the device waits so many milliseconds for more. */
const KEEP = 400;

/** A file that is looked at. */
export interface BroughtFile {
  name: string;
  form: 'CSV' | 'vCard' | 'iCalendar';
  kind: BroughtKind;
  problems: readonly { line: number; message: string }[];
  /** of a table: its columns, what each is taken for, and what they can be */
  columns?: readonly Column[];
  taken: readonly (string | null)[];
  choices: readonly string[];
  rows: readonly ReadRow[];
}

/** A file on its way from the device to the business: read, looked through, mended. */
export interface Brought {
  file?: BroughtFile | undefined;
  /** it is being read, or looked for in the business */
  busy?: string | undefined;
  trouble?: string | undefined;
  /** what is there already is known of all of it: nothing comes in before */
  isLooked: boolean;
  /** it is not, and nobody looks */
  unlooked: boolean;
  lookAgain: () => void;
  stateOf: (row: ReadRow) => RowState;
  mendsOf: (row: number) => Mends;
  decisionOf: (row: number) => Decision;
  open: (file: File) => void;
  /** reads a table as another kind, or with other columns */
  readAs: (kind: TableKind, columns?: readonly (string | null)[]) => void;
  mend: (row: number, fact: string, words: string) => void;
  decide: (row: number, decision: Decision) => void;
  /** lets it be */
  close: () => void;
  /** what comes in */
  coming: () => { id: string; rows: ComingRow[] };
}

export function useBroughtFile(owner: string, own: OwnWays, bookingWord: string): Brought {
  const reading = useRef<FileReading>(undefined);
  const here = useRef<FileHere>(undefined);
  const [file, setFile] = useState<BroughtFile>();
  const [busy, setBusy] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const [found, setFound] = useState<ReadonlyMap<number, Match>>(new Map());
  /** looks that are under way */
  const [looking, setLooking] = useState(0);
  const [mends, setMends] = useState<ReadonlyMap<number, Mends>>(new Map());
  const [decisions, setDecisions] = useState<ReadonlyMap<number, Decision>>(new Map());
  /** what is asked for a former file, or its former reading, is not shown */
  const turn = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const keep = useCallback(
    (change: Partial<FileHere>) => {
      if (!here.current) return;
      here.current = { ...here.current, ...change };
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void keepFileHere(owner, here.current), KEEP);
    },
    [owner],
  );

  const ask = useCallback((...given: Parameters<FileReading['ask']>): Promise<ToldOfFile> => {
    reading.current ??= new FileReading();
    return reading.current.ask(...given);
  }, []);

  /** Looks for rows in the business, some at a time; what was found shows at once. What was not looked for has nothing in `found`. */
  const look = useCallback(async (kind: BroughtKind, rows: readonly BroughtRow[], mine: number) => {
    const asked = rows.flatMap((row) => askedOf(kind, row as never) ?? []);
    setLooking((n) => n + 1);
    try {
      for (let from = 0; from < asked.length; from += ROWS_AT_ONCE) {
        // One that was mended is looked for while others are.
        if (rows.length > 1) setBusy(`Looked for ${from} of ${asked.length} among what is there …`);
        const part = asked.slice(from, from + ROWS_AT_ONCE);
        const answer = await askServer<{ matches: Match[] }>('/api/bringing/matches', { kind, rows: part });
        if (turn.current !== mine) return;
        if ('offline' in answer || answer.status !== 200) break;
        const told = new Map(answer.body.matches.map((one) => [one.row, one]));
        setFound((before) => {
          const next = new Map(before);
          for (const { row } of part) next.set(row, told.get(row) ?? { row, clients: [] });
          return next;
        });
      }
      if (turn.current === mine && rows.length > 1) setBusy(undefined);
    } finally {
      setLooking((n) => n - 1);
    }
  }, []);

  const read = useCallback(
    async (opened: Extract<ToldOfFile, { type: 'opened' }>, kept: FileHere) => {
      const mine = ++turn.current;
      here.current = kept;
      setTrouble(undefined);
      setBusy('Being read …');
      setFound(new Map());
      setMends(kept.mends);
      setDecisions(kept.decisions);
      let { as } = kept;
      let choices: string[] = [];
      if (opened.columns) {
        as ??= await guess(opened, ask);
        const told = await ask({ type: 'guess', kind: as.kind });
        if (told.type === 'guessed') choices = told.choices;
      }
      const told = await ask({ type: 'read', as: readAsOf(as), mends: kept.mends });
      if (turn.current !== mine) return;
      setBusy(undefined);
      if (told.type !== 'read') return setTrouble(told.type === 'refused' ? told.message : undefined);
      const kind = as?.kind ?? opened.kind;
      const { form, problems, columns } = opened;
      setFile({
        ...{ name: kept.name, form, kind, problems, choices, rows: told.rows },
        ...(columns ? { columns } : {}),
        taken: as?.columns ?? [],
      });
      keep({ as });
      await look(kind, told.rows, mine);
    },
    [ask, keep, look],
  );

  const openedAs = useRef<Extract<ToldOfFile, { type: 'opened' }>>(undefined);
  const take = useCallback(
    async (kept: FileHere) => {
      const mine = ++turn.current;
      setTrouble(undefined);
      setFile(undefined);
      setBusy('Being read …');
      const told = await ask({ type: 'open', bytes: kept.bytes, own });
      if (turn.current !== mine) return;
      if (told.type !== 'opened') {
        setBusy(undefined);
        setTrouble(told.type === 'refused' ? `${kept.name}: ${told.message}` : undefined);
        return void keepFileHere(owner, undefined);
      }
      openedAs.current = told;
      await read(told, kept);
    },
    [ask, own, owner, read],
  );

  // What was left is there again.
  useEffect(() => {
    if (turn.current > 0) return;
    let left = false;
    void fileHere(owner).then((kept) => {
      if (!left && kept && turn.current === 0) void take(kept);
    });
    return () => {
      left = true;
    };
  }, [owner, take]);
  useEffect(
    () => () => {
      reading.current?.end();
      reading.current = undefined;
    },
    [],
  );

  const earlier = useMemo(
    () => (file?.kind === 'client' ? saidBefore(file.rows as never) : new Map<number, number>()),
    [file],
  );
  /** the rows that were not looked for since they were read */
  const open = useMemo(
    () => (file?.rows ?? []).filter(({ row, facts }) => facts && !found.has(row)),
    [file, found],
  );
  const stateOf = useCallback(
    (row: ReadRow): RowState =>
      stateOfRow(file?.kind ?? 'client', row as never, found.get(row.row), decisions.get(row.row), {
        earlier: earlier.get(row.row),
        bookingWord,
      }),
    [file?.kind, found, decisions, earlier, bookingWord],
  );

  return {
    file,
    busy,
    trouble,
    isLooked: open.length === 0,
    unlooked: open.length > 0 && looking === 0 && busy === undefined,
    lookAgain: () => {
      if (file) void look(file.kind, open, turn.current);
    },
    stateOf,
    mendsOf: (row) => mends.get(row) ?? {},
    decisionOf: (row) => decisions.get(row) ?? {},
    open: (chosen) => {
      if (chosen.size > MOST_BYTES) return setTrouble(`${chosen.name}: A file is at most 20 MB.`);
      void chosen.arrayBuffer().then(
        (bytes) =>
          take({
            id: newId(),
            name: chosen.name.slice(0, 300) || 'file',
            bytes,
            mends: new Map(),
            decisions: new Map(),
          }),
        () => setTrouble(`${chosen.name} could not be read. Choose it again.`),
      );
    },
    readAs: (kind, columns) => {
      if (!openedAs.current || !here.current) return;
      const opened = openedAs.current;
      const kept = here.current;
      void (async () => {
        let chosen = columns;
        if (!chosen) {
          const told = await ask({ type: 'guess', kind });
          chosen = told.type === 'guessed' ? told.columns : [];
        }
        await read(opened, { ...kept, as: { kind, columns: [...chosen] } });
      })();
    },
    mend: (row, fact, words) => {
      const own = { ...(mends.get(row) ?? {}), [fact]: words };
      const next = new Map(mends).set(row, own);
      setMends(next);
      keep({ mends: next });
      const mine = turn.current;
      void ask({ type: 'mend', row, as: readAsOf(here.current?.as), mends: own }).then((told) => {
        if (told.type !== 'read' || turn.current !== mine) return;
        const [mended] = told.rows;
        if (!mended || !file) return;
        setFound((before) => new Map([...before].filter(([one]) => one !== row)));
        setFile(
          (before) =>
            before && { ...before, rows: before.rows.map((one) => (one.row === row ? mended : one)) },
        );
        void look(file.kind, [mended], mine);
      });
    },
    decide: (row, decision) => {
      const next = new Map(decisions).set(row, { ...decisions.get(row), ...decision });
      setDecisions(next);
      keep({ decisions: next });
    },
    close: () => {
      turn.current++;
      here.current = undefined;
      clearTimeout(timer.current);
      setFile(undefined);
      setBusy(undefined);
      setTrouble(undefined);
      void keepFileHere(owner, undefined);
    },
    coming: () => ({
      id: here.current?.id ?? newId(),
      rows: (file?.rows ?? []).flatMap((row) => {
        const state = stateOf(row);
        return state.state === 'comes' && row.facts ? [comingRow(file!.kind, row, state)] : [];
      }),
    }),
  };
}

function readAsOf(as: FileHere['as']) {
  return as && { kind: as.kind, columns: as.columns.map((one) => one ?? undefined) };
}

/** What such columns were taken for the last time, else what their heads tell. */
async function guess(
  { kind, columns = [] }: Extract<ToldOfFile, { type: 'opened' }>,
  ask: FileReading['ask'],
): Promise<NonNullable<FileHere['as']>> {
  const heads = columns.map(({ head }) => head.slice(0, 1_000));
  const answer = await askServer<RememberedColumns>('/api/bringing/columns', { heads });
  if (
    !('offline' in answer) &&
    answer.status === 200 &&
    answer.body.columns &&
    answer.body.kind !== 'booking'
  )
    return { kind: answer.body.kind!, columns: answer.body.columns };
  const told = await ask({ type: 'guess', kind: kind as TableKind });
  return { kind: kind as TableKind, columns: told.type === 'guessed' ? told.columns : [] };
}

/** A row as it comes in: with whose it is instead of what the file says of that. */
function comingRow(kind: BroughtKind, { row, facts }: ReadRow, { client, invoice }: RowState): ComingRow {
  const { whose: _, ...known } = facts as { whose?: unknown; number?: string };
  if (kind === 'client') return { row, facts: known } as ComingRow;
  if (kind === 'payment') {
    const { number: _number, ...payment } = known;
    return { row, facts: { ...payment, invoice } } as unknown as ComingRow;
  }
  return { row, facts: { ...known, client: client?.key } } as unknown as ComingRow;
}
