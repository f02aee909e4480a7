'use client';

import { useId, useState } from 'react';
import type { ShorthandToWrite } from '../../../core/contract/shorthand';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { StartingKind } from '../../../core/records/recordKind';
import { NamedDesk } from '../named/NamedDesk';
import { GroupOfWords, SeenFrom } from '../named/wordsChoices';
import { useNamedWords } from '../named/useNamedWords';
import { useInView } from '../useInView';

interface Props {
  owner: string;
  shorthand: ShorthandToWrite;
  facts: WordsFacts;
  groups: readonly { key: string; name: string }[];
}

/** A shorthand on a page of its own, seen from a record of some kind. */
export function ShorthandDesk({ owner, shorthand, facts, groups }: Props) {
  const [startsFrom, setStartsFrom] = useState<StartingKind>('booking');
  const [group, setGroup] = useState(shorthand.group);
  const id = useId();
  const writing = useNamedWords({
    owner,
    what: 'shorthand',
    words: shorthand,
    more: { group, startsFrom },
    kept: 'Kept. It is typed so from the next letter or template that is opened.',
  });
  return (
    <NamedDesk
      kind="shorthand"
      writing={writing}
      startsFrom={startsFrom}
      facts={facts}
      view={useInView(startsFrom)}
      changedToo={group !== shorthand.group}
      onUndo={() => setGroup(shorthand.group)}
      removable
      about={<p>{shorthand.own ? 'My own.' : 'The house’s: everybody types it.'}</p>}
      choices={
        <>
          <GroupOfWords id={`${id}-group`} groups={groups} value={group} onChange={setGroup} />
          <SeenFrom id={`${id}-from`} facts={facts} value={startsFrom} onChange={setStartsFrom} />
        </>
      }
    />
  );
}
