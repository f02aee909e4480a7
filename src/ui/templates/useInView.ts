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
  const [starts, setStarts] = useState<ListEntry[]>();
  const [wanted, find] = useState('');
  const [start, choose] = useState<string>();
  const [brought, setBrought] = useState<FoundRecord>();
  const [facts, setFacts] = useState<WritingAnswer | string>();
  const looked = useDeferredValue(wanted);

  useEffect(() => {
    let latest = true;
    const search = looked.trim() ? `?find=${encodeURIComponent(looked)}` : '';
    void askServer<ListPage>(`/api/lists/${startsFrom}${search}`).then((answer) => {
      if (!latest) return;
      if ('offline' in answer || answer.status !== 200) return setFacts('The records could not be fetched.');
      const { entries } = answer.body;
      setStarts(entries);
      choose((now) => (entries.some(({ key }) => key === now) ? now : entries[0]?.key));
    });
    return () => {
      latest = false;
    };
  }, [startsFrom, looked]);

  useEffect(() => {
    if (start === undefined) return;
    let latest = true;
    void askForFacts(`${startsFrom}:${start}`).then((answer) => {
      if (!latest) return;
      if ('offline' in answer) return setFacts('There is no connection.');
      if (answer.status === 404) return setFacts('This record is no longer there.');
      setFacts(answer.status === 200 ? answer.body : 'The server cannot fill it at the moment. Try again.');
    });
    return () => {
      latest = false;
    };
  }, [startsFrom, start]);

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
