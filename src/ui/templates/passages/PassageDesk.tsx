'use client';

import { useId, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { PassageToWrite } from '../../../core/contract/passages';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { withArticle } from '../../../core/fill/formats/article';
import { bookingWords } from '../../../core/records/bookingWords';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { NamedDesk } from '../named/NamedDesk';
import { useNamedWords } from '../named/useNamedWords';
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
          <Form.Group controlId={`${id}-group`}>
            <Form.Label>Group</Form.Label>
            <Form.Select
              size="sm"
              value={group ?? ''}
              onChange={(event) => setGroup(event.target.value || null)}
            >
              {groups.map(({ key: one, name }) => (
                <option key={one} value={one}>
                  {name}
                </option>
              ))}
              <option value="">no group</option>
            </Form.Select>
          </Form.Group>
          <Form.Group controlId={`${id}-from`}>
            <Form.Label>Seen from</Form.Label>
            <Form.Select
              size="sm"
              value={startsFrom}
              onChange={(event) => setStartsFrom(event.target.value as StartingKind)}
            >
              {STARTING_POINTS.map((kind) => (
                <option key={kind} value={kind}>
                  {withArticle(
                    kind === 'booking' ? bookingWords(facts.business.booking_label).booking : kind,
                  )}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
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
