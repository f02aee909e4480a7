'use client';

import { useEffect, useMemo, useRef } from 'react';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { completionsIn } from '../../../core/fields/completions';
import { FieldDesk } from '../../../core/fields/fieldDesk';
import { readPassages } from '../../../core/fill/paths/scope';
import type { Problem } from '../../../core/problems/problem';
import { bookingWords } from '../../../core/records/bookingWords';
import type { StartingKind } from '../../../core/records/recordKind';
import { schemaOf } from '../../../core/records/schema';
import { WordsEditor } from './wordsEditor';

interface Props {
  text: string;
  problems: readonly Problem[];
  /** the id of what says what is wrong */
  describedBy: string;
  startsFrom: StartingKind;
  facts: WordsFacts;
  onType: (text: string) => void;
  onKeep: () => void;
  onTurn: () => void;
  /** the line to go to */
  line: { line: number } | undefined;
}

/** The template's words in their text form. */
export default function WordsSide(props: Props) {
  const { text, problems, describedBy, startsFrom, facts, line } = props;
  const holder = useRef<HTMLDivElement>(null);
  const editor = useRef<WordsEditor>(undefined);
  const fields = useMemo(
    () =>
      new FieldDesk(
        { name: '', group: '', startsFrom, subject: [] },
        { schema: schemaOf({ business: facts.business }), passages: readPassages(facts.passages) },
        { booking: bookingWords(facts.business.booking_label).booking },
      ),
    [startsFrom, facts],
  );
  const latest = useRef({ ...props, fields });
  useEffect(() => {
    latest.current = { ...props, fields };
  });

  useEffect(() => {
    const made = new WordsEditor(holder.current!, latest.current.text, {
      describedBy,
      typed: (typed) => latest.current.onType(typed),
      keep: () => latest.current.onKeep(),
      turn: () => latest.current.onTurn(),
      complete: (before) =>
        completionsIn(
          before,
          latest.current.fields,
          latest.current.facts.passages.map(({ name }) => name),
        ),
    });
    editor.current = made;
    return () => {
      made.destroy();
      editor.current = undefined;
    };
  }, [describedBy]);

  useEffect(() => editor.current?.show(text), [text]);
  useEffect(() => editor.current?.mark(problems), [problems]);
  useEffect(() => {
    if (line) editor.current?.goTo(line.line);
  }, [line]);

  return <div ref={holder} className="words-side" />;
}
