'use client';

import { useId, useMemo, useState } from 'react';
import type { PassageToWrite } from '../../../core/contract/passages';
import type { WordsFacts } from '../../../core/contract/templateWords';
import type { StartingKind } from '../../../core/records/recordKind';
import { NamedDesk } from '../named/NamedDesk';
import { useNamedWords } from '../named/useNamedWords';
import { GroupOfWords, SeenFrom } from '../named/wordsChoices';
import { useInView } from '../useInView';
import { PassageUsesList } from './PassageUsesList';

interface Props {
  owner: string;
  passage: PassageToWrite;
  facts: WordsFacts;
  groups: readonly { key: string; name: string }[];
}

/** A passage on a page of its own, seen from a record of some kind, with where it stands. */
export function PassageDesk({ owner, passage, facts, groups }: Props) {
  const { key, uses } = passage;
  const [startsFrom, setStartsFrom] = useState<StartingKind>('invoice');
  const [group, setGroup] = useState(passage.group);
  const id = useId();
  const kept = `Kept. ${placesInWords(uses)}`;
  const writing = useNamedWords({
    owner,
    what: 'passage',
    words: passage,
    more: { group, startsFrom },
    kept,
  });
  // In itself a passage cannot stand.
  const others = useMemo(
    () => ({ ...facts, passages: facts.passages.filter((one) => one.key !== key) }),
    [facts, key],
  );
  return (
    <NamedDesk
      kind="passage"
      writing={writing}
      startsFrom={startsFrom}
      facts={others}
      view={useInView(startsFrom)}
      changedToo={group !== passage.group}
      onUndo={() => setGroup(passage.group)}
      removable={uses.templates.length + uses.passages.length + uses.others === 0}
      about={<PassageUsesList uses={uses} />}
      choices={
        <>
          <GroupOfWords id={`${id}-group`} groups={groups} value={group} onChange={setGroup} />
          <SeenFrom id={`${id}-from`} facts={facts} value={startsFrom} onChange={setStartsFrom} />
        </>
      }
    />
  );
}

function placesInWords({ templates, others }: PassageToWrite['uses']): string {
  const count = templates.length + others;
  if (count === 0) return 'It stands in no template yet.';
  return count === 1 ? 'It is changed in one template.' : `It is changed in ${count} templates.`;
}
