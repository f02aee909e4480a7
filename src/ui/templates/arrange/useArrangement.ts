'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition } from 'react';
import type { GroupedTemplates, GroupHead, ListedEntry } from '../../../core/contract/list';
import type { Done } from '../../../core/contract/refusal';
import { moveTemplates, type PlaceAmong } from '../../../core/template/moveTemplates';
import { askServer } from '../../writing/askServer';

/** A group with the keys of its templates. */
export type KeyedGroup = Omit<GroupedTemplates, 'templates'> & { templates: readonly string[] };

/** What was done last, in words, and how it is undone. */
interface DoneLast {
  words: string;
  undo?: () => void;
}

interface Arrangement {
  groups: readonly KeyedGroup[];
  templates: ReadonlyMap<string, ListedEntry>;
  /** shows templates in another place while they are dragged; nothing is kept yet */
  preview: (moved: ReadonlySet<string>, place: PlaceAmong) => void;
  /** shows again what is kept */
  letGo: () => void;
  /** moves them, from where they were before they were dragged */
  move: (moved: ReadonlySet<string>, place: PlaceAmong) => void;
  /** moves a group by so many places */
  shift: (group: string, by: number) => void;
  /** shows a group that was made, and moves templates into it */
  add: (group: GroupHead, moved: ReadonlySet<string>) => void;
  /** after something was done elsewhere: says it, and asks for the groups as they are now */
  tell: (words: string) => void;
  last: DoneLast | undefined;
  trouble: string | undefined;
}

const keyed = (groups: readonly GroupedTemplates[]): readonly KeyedGroup[] =>
  groups.map((group) => ({ ...group, templates: group.templates.map(({ key }) => key) }));

/** The groups and templates as they stand, moved at once on the page and kept at the server one change after another. */
export function useArrangement(given: readonly GroupedTemplates[]): Arrangement {
  const [from, setFrom] = useState(given);
  const [kept, setKept] = useState(() => keyed(given));
  const [shown, setShown] = useState<readonly KeyedGroup[]>();
  const [last, setLast] = useState<DoneLast>();
  const [trouble, setTrouble] = useState<string>();
  const [refreshing, refresh] = useTransition();
  const router = useRouter();
  /** changes wait for each other: the last one made is the last one kept */
  const before = useRef<Promise<unknown>>(Promise.resolve());
  const [waiting, setWaiting] = useState(0);

  // What the server has is shown when nothing is on its way, to it or from it: an answer from before the last change
  // would undo that on the page.
  if (from !== given && waiting === 0 && !refreshing) {
    setFrom(given);
    setKept(keyed(given));
  }

  function keep(
    was: readonly KeyedGroup[],
    next: readonly KeyedGroup[],
    path: string,
    body: object,
    done: DoneLast,
  ) {
    setKept(next);
    setShown(undefined);
    setTrouble(undefined);
    // It is said to be done when it is.
    setLast(undefined);
    setWaiting((count) => count + 1);
    before.current = before.current.then(async () => {
      const answer = await askServer<Done>(path, body, 'PUT');
      setWaiting((count) => count - 1);
      const error = 'offline' in answer ? 'There is no connection.' : answer.body.error;
      if (error === undefined) {
        setLast(done);
        return refresh(() => router.refresh());
      }
      setKept(was);
      setTrouble(`${error} Nothing was moved.`);
    });
  }

  function place(was: readonly KeyedGroup[], next: readonly KeyedGroup[], done: DoneLast) {
    const under = next
      .filter((group, i) => group !== was[i])
      .map(({ key, templates }) => ({ group: key || null, templates }));
    keep(was, next, '/api/templates', { under }, done);
  }

  function order(was: readonly KeyedGroup[], next: readonly KeyedGroup[], done: DoneLast) {
    keep(was, next, '/api/groups', { order: next.flatMap(({ key }) => key || []) }, done);
  }

  return {
    groups: shown ?? kept,
    templates: new Map(from.flatMap((group) => group.templates).map((template) => [template.key, template])),
    preview: (moved, into) => setShown((now) => moveTemplates(now ?? kept, moved, into)),
    letGo: () => setShown(undefined),
    move: (moved, into) => {
      const next = moveTemplates(kept, moved, into);
      if (next.every((group, i) => group === kept[i])) return setShown(undefined);
      const group = next.find(({ key }) => key === into.group)!;
      const what = moved.size === 1 ? (nameOf(from, [...moved][0]!) ?? 'It') : `${moved.size} templates`;
      place(kept, next, {
        words: `${what}: moved ${group.key ? `to ${group.name}` : 'out of the groups'}.`,
        undo: () => place(next, kept, { words: 'Moved back.' }),
      });
    },
    shift: (key, by) => {
      const at = kept.findIndex((group) => group.key === key);
      const next = [...kept];
      const [group] = next.splice(at, 1);
      next.splice(at + by, 0, group!);
      order(kept, next, {
        words: `${group!.name} moved ${by < 0 ? 'up' : 'down'}.`,
        undo: () => order(next, kept, { words: 'Moved back.' }),
      });
    },
    add: (group, moved) => {
      // Before what has none.
      const withIt = [...kept.slice(0, -1), { ...group, templates: [] }, ...kept.slice(-1)];
      const count = moved.size === 1 ? 'One template stands' : `${moved.size} templates stand`;
      const words = `The group ${group.name} is made. ${moved.size ? `${count} in it.` : 'It stands last.'}`;
      if (moved.size > 0) return place(withIt, moveTemplates(withIt, moved, { group: group.key }), { words });
      setKept(withIt);
      setLast({ words });
      refresh(() => router.refresh());
    },
    tell: (words) => {
      setLast({ words });
      setTrouble(undefined);
      refresh(() => router.refresh());
    },
    last,
    trouble,
  };
}

function nameOf(groups: readonly GroupedTemplates[], key: string): string | undefined {
  return groups.flatMap(({ templates }) => templates).find((template) => template.key === key)?.name;
}
