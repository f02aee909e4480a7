'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { LetterForTemplate } from '../../../core/contract/fromLetter';
import type { GroupedTemplates } from '../../../core/contract/list';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { labelsOf } from '../../../core/fill/describe/labels';
import { withArticle } from '../../../core/fill/formats/article';
import { readPassages } from '../../../core/fill/paths/scope';
import type { Find } from '../../../core/recognise/find';
import { letterText } from '../../../core/recognise/letterText';
import { fieldOf, placeFields, type Placed } from '../../../core/recognise/placeFields';
import { withTold } from '../../../core/recognise/withTold';
import { recognisedTemplate } from '../../../core/recognise/recognisedTemplate';
import type { BookingWords } from '../../../core/records/bookingWords';
import { schemaOf } from '../../../core/records/schema';
import { PencilLetter } from '../../document/PencilLetter';
import { isCertain, takenFinds, withCertain, type Decided } from './decided';
import { FindNote } from './FindNote';
import { KeepTemplate } from './KeepTemplate';
import { useNextQuestion } from './useNextQuestion';
import { useRecognised } from './useRecognised';

interface Props {
  letter: LetterForTemplate;
  facts: WordsFacts;
  groups: readonly Pick<GroupedTemplates, 'key' | 'name'>[];
  words: BookingWords;
  /** goes back to where its words stand, which is called so */
  back?: string;
  onBack?: () => void;
}

const NONE: readonly Find[] = [];

/** A letter on its way to a template: the client’s facts in it, taken together or one by one. */
export function FromLetter({ letter, facts, groups, words, back = 'The text', onBack }: Props) {
  const text = useMemo(() => letterText(letter.subject, letter.document), [letter]);
  const { told, again } = useRecognised(letter, text, facts);
  const [decided, setDecided] = useState<Decided>(new Map());
  const finds = useMemo(
    () => (told && 'finds' in told ? withTold(told.finds, letter.told ?? []) : NONE),
    [told, letter],
  );
  const language = told && 'finds' in told ? told.language : undefined;
  const startsFrom = letter.start.kind;
  const open = finds.flatMap((find, i) => (decided.has(i) ? [] : [{ find, i }]));
  const certain = open.filter(({ find }) => isCertain(find));
  const doubtful = open.filter(({ find }) => !isCertain(find));
  const template = useMemo(
    () => recognisedTemplate(text, takenFinds(finds, decided), { startsFrom, language }),
    [text, finds, decided, startsFrom, language],
  );
  // Nobody’s facts stand in a name, whatever is taken of them.
  const name = useMemo(
    () => recognisedTemplate(text, finds, { startsFrom }).head.name,
    [text, finds, startsFrom],
  );
  const shown = useMemo(() => {
    const placed = finds.flatMap((find, i): Placed[] => {
      const said = decided.get(i);
      if (said === 'words') return [];
      if (said) return [fieldOf({ ...find, ...said })];
      // What goes over lines is left as it stands.
      if (find.words.includes('\n')) return [];
      return [
        { start: find.start, end: find.end, word: { type: 'unfinished', attrs: { words: find.words } } },
      ];
    });
    const { subject, document } = placeFields(text, placed);
    const drawn = { head: { ...template.head, subject }, document };
    const context = { schema: schemaOf({ business: facts.business }), passages: readPassages([]) };
    return { ...drawn, passages: [], labels: labelsOf(drawn, context) };
  }, [finds, decided, text, template, facts]);
  const { questions, decided: goOn } = useNextQuestion();
  const decide = (i: number, said: Parameters<typeof FindNote>[0]['said']) => {
    goOn();
    setDecided((before) => {
      const next = new Map(before);
      if (said === undefined) next.delete(i);
      else next.set(i, said);
      return next;
    });
  };

  return (
    <div className="with-margin from-letter">
      <article className="paper letter" aria-labelledby="from-letter-title">
        <div className="letter-head">
          {letter.id === undefined ? (
            <button type="button" className="btn btn-link back-to-text" onClick={onBack}>
              {back}
            </button>
          ) : (
            <Link href={`/post/${letter.id}`} className="back-to-list">
              The letter
            </Link>
          )}
          <h1 id="from-letter-title">A template of this letter</h1>
          <p>
            To {letter.to}, {letter.day}. What was theirs alone becomes a smart field.
          </p>
        </div>
        <PencilLetter template={shown} />
      </article>
      <aside ref={questions} className="states find-notes" aria-label="What was found">
        {told === undefined && <p role="status">Looking for what is theirs alone …</p>}
        {told && 'failed' in told && (
          <p role="alert">
            {told.failed}{' '}
            <Button variant="link" onClick={again}>
              Try again
            </Button>
          </p>
        )}
        {told && 'finds' in told && (
          <>
            <p role="status" tabIndex={-1}>
              {found(finds.length, certain.length, doubtful.length)}
            </p>
            {certain.length > 0 && (
              <Button
                onClick={() => {
                  goOn();
                  setDecided((before) => withCertain(finds, before));
                }}
              >
                {certain.length === 1 ? 'Take the certain one' : `Take the ${certain.length} certain ones`}
              </Button>
            )}
            {doubtful.length > 0 && (
              <>
                <h2>What are these?</h2>
                <ul>
                  {doubtful.map(({ find, i }) => (
                    <FindNote key={i} find={find} said={undefined} onDecide={(said) => decide(i, said)} />
                  ))}
                </ul>
              </>
            )}
            {certain.length > 0 && (
              <details>
                <summary>The certain ones, one by one</summary>
                <ul>
                  {certain.map(({ find, i }) => (
                    <FindNote key={i} find={find} said={undefined} onDecide={(said) => decide(i, said)} />
                  ))}
                </ul>
              </details>
            )}
            {decided.size > 0 && (
              <>
                <h2>Decided</h2>
                <ul>
                  {finds.map((find, i) =>
                    decided.has(i) ? (
                      <FindNote
                        key={i}
                        find={find}
                        said={decided.get(i)}
                        onDecide={(said) => decide(i, said)}
                      />
                    ) : null,
                  )}
                </ul>
              </>
            )}
          </>
        )}
      </aside>
      <KeepTemplate
        key={told ? 'found' : 'looking'}
        template={template}
        proposed={name}
        starts={withArticle(startsFrom === 'booking' ? words.booking : startsFrom)}
        groups={groups}
        ready={told !== undefined}
        open={open.length}
      />
    </div>
  );
}

function found(all: number, certain: number, doubtful: number): string {
  if (all === 0) return 'Nothing of theirs was found in it. It can be kept as it is.';
  if (certain + doubtful === 0) return 'Everything that was found is decided.';
  const asked =
    doubtful === 0 ? '' : doubtful === 1 ? ' One is asked about.' : ` ${doubtful} are asked about.`;
  return `${all === 1 ? 'One fact of theirs was' : `${all} facts of theirs were`} found.${asked}`;
}
