'use client';

import { useEffect, useId, useRef } from 'react';
import Form from 'react-bootstrap/Form';

interface Props {
  text: string;
  isWrong: boolean;
  /** the id of what says what is wrong */
  describedBy: string;
  onType: (text: string) => void;
  /** the line to go to */
  line: { line: number } | undefined;
}

/** The template's words in their text form. */
export function WordsSide({ text, isWrong, describedBy, onType, line }: Props) {
  const area = useRef<HTMLTextAreaElement>(null);
  const areaId = useId();

  useEffect(() => {
    if (!line || !area.current) return;
    const lines = area.current.value.split('\n');
    const from = lines.slice(0, line.line - 1).reduce((sum, one) => sum + one.length + 1, 0);
    area.current.focus();
    area.current.setSelectionRange(from, from + (lines[line.line - 1]?.length ?? 0));
  }, [line]);

  return (
    <div className="words-side">
      <Form.Label htmlFor={areaId}>Head and words</Form.Label>
      <Form.Control
        as="textarea"
        id={areaId}
        ref={area}
        className="words-area"
        value={text}
        rows={text.split('\n').length + 6}
        spellCheck
        aria-describedby={describedBy}
        isInvalid={isWrong}
        onChange={(event) => onType(event.currentTarget.value)}
      />
    </div>
  );
}
