import type { FirstLetter } from '../../core/contract/writing';
import { Fragment } from 'react';
import { LetterheadAround } from '../document/LetterheadAround';
import { CopyBlocks } from '../document/CopyBlocks';
import { AddressLines } from './AddressLines';
import { AlongWithIt } from './AlongWithIt';

interface Props {
  letter: FirstLetter;
}

/** The first letter as the server draws it, to be read while what it is written on with is on its way. */
export function LetterToRead({
  letter: { document, around, addressing, along, recipients, name, from, lastSaid },
}: Props) {
  return (
    <>
      <section className="index index-behind" aria-labelledby="index-title">
        <h1 id="index-title">Write to {name}</h1>
        <p className="count">from {from}</p>
      </section>
      <div id="page" className="page-area writing" tabIndex={-1}>
        <article className="paper letter" aria-labelledby="letter-title" aria-busy="true">
          <h1 id="letter-title" className="visually-hidden">
            Letter to {name}
          </h1>
          <div className="address-head">
            <p className="phone-head">{name}</p>
            <AddressLines addressing={addressing}>
              {recipients.map((recipient, i) => (
                <Fragment key={i}>
                  {i > 0 && ', '}
                  <b>{recipient.name}</b>
                  {recipient.note && `, ${recipient.note}`}
                </Fragment>
              ))}
              {recipients.length === 0 && <span className="needs-you">nobody yet</span>}
            </AddressLines>
            <AlongWithIt along={along} />
            {lastSaid && <p className="last-said">{lastSaid}</p>}
          </div>
          <div className="letter-holder">
            <LetterheadAround part={around?.top} />
            <div className="letter-body copy">
              <CopyBlocks nodes={document.content} />
            </div>
            <LetterheadAround part={around?.foot} />
          </div>
          <div className="letter-foot">
            <p className="foot-words" role="status">
              You can read it now. It can be changed and sent in a moment.
            </p>
          </div>
        </article>
        <aside className="margin" aria-label="Margin" />
      </div>
    </>
  );
}
