'use client';

import type { DayAsked, FreeDaysAnswer } from '../../core/contract/freeDays';
import type { EnquiryData } from '../../core/records/recordsFile';
import { FreeDayList } from '../work/FreeDayList';
import { HeldDaysLine } from './HeldDaysLine';
import type { LetterStore } from './letterStore';
import type { LetterView } from './letterView';

interface Props {
  enquiry: EnquiryData;
  /** whether the days are free; absent until that is known */
  told: { answer?: FreeDaysAnswer } | undefined;
  store: LetterStore;
  view: LetterView | undefined;
}

/** What an enquiry asks for, in view while it is answered: its words, its days, and which are free. */
export function AskedFor({ enquiry: { message, service, wanted_on = [] }, told, store, view }: Props) {
  const blank = openDay(view, store);
  const { holds, choices } = view ?? {};
  const offer = ({ day, words }: DayAsked) =>
    view === undefined || holds?.days.includes(day) ? null : (
      <button
        type="button"
        className="btn btn-link"
        aria-label={`Offer ${words.replace(/:.*/, '')}${blank === undefined ? '' : ` as ${blank.toLowerCase()}`}`}
        onClick={() => (blank === undefined ? store.putDay(day) : store.answer(blank, day))}
      >
        Offer it
      </button>
    );
  if (!message && wanted_on.length === 0 && !holds) return null;
  return (
    <details className="asked-for" open>
      <summary>What was asked{service ? `: ${service}` : ''}</summary>
      {message && <blockquote>{message}</blockquote>}
      {told && !told.answer && <p className="hint">Whether these days are free could not be looked up.</p>}
      {told?.answer && (
        <>
          <FreeDayList days={told.answer.days} act={offer} />
          {told.answer.nearest.length > 0 && (
            <>
              <p className="count">Free nearby</p>
              <FreeDayList days={told.answer.nearest} act={offer} />
            </>
          )}
        </>
      )}
      {holds && (
        <HeldDaysLine
          holds={holds}
          notHeld={choices?.notHeld === true}
          book={store.desk.book}
          onHold={(held) => store.choose({ notHeld: held ? undefined : true })}
        />
      )}
    </details>
  );
}

/** The first day that the letter still asks for. */
function openDay(view: LetterView | undefined, store: LetterStore): string | undefined {
  return view?.notes.find(
    ({ hole, label }) => hole?.kind === 'blank' && store.blankType(label).kind === 'date',
  )?.label;
}
