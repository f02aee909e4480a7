'use client';

import Link from 'next/link';
import { Icon } from '../shell/Icon';
import { SIGNS } from '../shell/signs';
import { useEffect, useState } from 'react';
import { people } from '../../core/writing/alternatives';
import { nameRecipient } from '../../core/describe/nameRecord';
import { referenceOf } from '../../core/records/which/recipientOf';
import { lazyPart } from '../shell/lazyPart';
import { AddressLines } from './AddressLines';
import { AlongWithIt } from './AlongWithIt';
import type { Shared } from '../device/shared';
import type { LetterStore } from './letterStore';
import type { LetterView } from './letterView';

const AddAlong = lazyPart(() => import('./AddAlong'));

interface Props {
  view: LetterView;
  store: LetterStore;
  onBack: () => void;
  /** whom one writes to, and where that record is */
  back: { name: string; href: string };
  /** the letter has gone: nobody else can be chosen */
  closed: boolean;
  /** files that were shared to the application for this letter */
  sharedFiles: Shared['files'];
  /** what was last said to them and by them */
  lastSaid: string | undefined;
}

/** Whom the letter goes to and whom it comes from, every address of it; another person in two presses. */
export function LetterHead({
  view: { filled, addressing },
  store,
  onBack,
  back,
  closed,
  sharedFiles,
  lastSaid,
}: Props) {
  const [changing, setChanging] = useState(false);
  const [adding, setAdding] = useState(false);
  useEffect(() => {
    if (sharedFiles.length > 0) setAdding(true);
  }, [sharedFiles]);
  const { situation } = filled;
  const { others } = people(situation);
  const { start, client, book } = situation;
  const isInNoRecord = start.kind === 'client' && !closed && !book.clients.has(client!.record.key);
  const to = situation.recipients.map(({ record }) => ({
    ...nameRecipient(record),
    key: referenceOf(record),
  }));
  const choose = (recipients: string[]) => {
    store.choose({ recipients });
    setChanging(false);
  };
  return (
    <div className="address-head">
      <p className="phone-head">
        <Link
          href={back.href}
          onClick={(event) => {
            // Back to where one came from, where that is known.
            if (window.history.length < 2) return;
            event.preventDefault();
            window.history.back();
          }}
        >
          <Icon sign={SIGNS['chevron-left']} />
          {back.name}
        </Link>
        <button type="button" className="btn btn-link back-to-list" onClick={onBack}>
          Another template
        </button>
      </p>
      <AddressLines addressing={addressing}>
        {to.map(({ key, name, note }) => (
          <span key={key} className="addressee">
            <b>{name}</b>
            {note && `, ${note}`}
            {to.length > 1 && !closed && (
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Not to ${name}`}
                onClick={() => choose(to.map((one) => one.key).filter((one) => one !== key))}
              >
                Remove
              </button>
            )}
          </span>
        ))}
        {to.length === 0 && <span className="needs-you">nobody yet</span>}
        {isInNoRecord && <span className="no-client">No client yet: one is made when the letter goes.</span>}
      </AddressLines>
      {others.length > 0 && !closed && (
        <button
          type="button"
          className="btn btn-link"
          aria-expanded={changing}
          onClick={() => setChanging((open) => !open)}
        >
          {to.length ? 'Change' : 'Choose'}
        </button>
      )}
      <AlongWithIt
        along={filled.along}
        leftOut={filled.choices.leftOut ?? []}
        {...(closed ? {} : { onChange: (one, goes) => store.letGoAlong(one, goes) })}
      >
        {!closed && (
          <button
            type="button"
            className="btn btn-link add-file"
            aria-expanded={adding}
            onClick={() => setAdding((open) => !open)}
          >
            Add a file
          </button>
        )}
      </AlongWithIt>
      {adding && !closed && (
        <AddAlong
          from={`${situation.start.kind}:${situation.start.key}`}
          there={new Set(filled.along.map(({ id }) => id))}
          shared={sharedFiles}
          onAdd={(file) => store.addAlong(file)}
          onDone={() => setAdding(false)}
        />
      )}
      {changing && (
        <ul className="other-people" aria-label="Other people">
          {others.map(({ key, name, note }) => (
            <li key={key}>
              <button type="button" className="choice" onClick={() => choose([key])}>
                <b>{name}</b>, {note}
              </button>
              {to.length > 0 && (
                <button
                  type="button"
                  className="btn btn-link"
                  aria-label={`Also to ${name}`}
                  onClick={() => choose([...to.map((one) => one.key), key])}
                >
                  Also
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {lastSaid && <p className="last-said">{lastSaid}</p>}
    </div>
  );
}
