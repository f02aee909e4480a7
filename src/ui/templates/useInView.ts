'use client';

import { useDeferredValue, useEffect, useState } from 'react';
import type { ListEntry, ListPage } from '../../core/contract/list';
import type { WritingAnswer } from '../../core/contract/writing';
import { askForFacts } from '../writing/askForFacts';
import { askServer } from '../writing/askServer';

/** What is said of a record among those that were found. */
type FoundRecord = Pick<ListEntry, 'key' | 'name'> & Partial<ListEntry>;

/** The record that a template is seen for. */
export interface InView {
  /** the records that were found, the one in view among them; undefined until they came */
  starts: readonly FoundRecord[] | undefined;
  wanted: string;
  find: (wanted: string) => void;
  start: string | undefined;
  choose: (key: string) => void;
  /** takes one that is not among those that were found */
  bring: (record: FoundRecord) => void;
  /** what a letter from it is written from; or why that is not there, in words */
  facts: WritingAnswer | string | undefined;
}

/** Finds a record that a template is seen for, and fetches what it is filled from. */
export function useInView(startsFrom: string): InView {
  const [listed, setStarts] = useState<{ kind: string; entries: ListEntry[] }>();
  const [wanted, find] = useState('');
  const [chosen, setChosen] = useState<{ kind: string; key: string | undefined }>();
  const [brought, setBrought] = useState<FoundRecord>();
  const [told, setTold] = useState<{ of: string; facts: WritingAnswer | string }>();
  const looked = useDeferredValue(wanted);
  // A record of another kind is none of these, and what is known of another is nothing of this one.
  const start = chosen?.kind === startsFrom ? chosen.key : undefined;
  const of = `${startsFrom}:${start}`;
  const facts = told?.of === of || told?.of === startsFrom ? told.facts : undefined;
  const choose = (key: string) => setChosen({ kind: startsFrom, key });

  useEffect(() => {
    let latest = true;
    const search = looked.trim() ? `?find=${encodeURIComponent(looked)}` : '';
    void askServer<ListPage>(`/api/lists/${startsFrom}${search}`).then((answer) => {
      if (!latest) return;
      if ('offline' in answer || answer.status !== 200)
        return setTold({ of: startsFrom, facts: 'The records could not be fetched.' });
      const { entries } = answer.body;
      setStarts({ kind: startsFrom, entries });
      setChosen((now) => {
        const isThere = now?.kind === startsFrom && entries.some(({ key }) => key === now.key);
        return isThere ? now : { kind: startsFrom, key: entries[0]?.key };
      });
    });
    return () => {
      latest = false;
    };
  }, [startsFrom, looked]);

  useEffect(() => {
    if (start === undefined) return;
    let latest = true;
    void askForFacts(of).then((answer) => {
      if (!latest) return;
      const tell = (facts: WritingAnswer | string) => setTold({ of, facts });
      if ('offline' in answer) return tell('There is no connection.');
      if (answer.status === 404) return tell('This record is no longer there.');
      tell(answer.status === 200 ? answer.body : 'The server cannot fill it at the moment. Try again.');
    });
    return () => {
      latest = false;
    };
  }, [of, start]);

  const starts = listed?.kind === startsFrom ? listed.entries : undefined;
  const others = starts?.filter(({ key }) => key !== brought?.key);
  return {
    starts: brought && others ? [brought, ...others] : starts,
    wanted,
    find: (words) => {
      setBrought(undefined);
      find(words);
    },
    start,
    choose,
    bring: (record) => {
      setBrought(record);
      choose(record.key);
    },
    facts,
  };
}
