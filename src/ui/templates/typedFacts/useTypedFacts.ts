'use client';

import { useEffect, useRef, useState } from 'react';
import type { AskRecognise, ToldRecognised } from '../../../core/contract/fromLetter';
import type { WordsFacts } from '../../../core/contract/templateWords';
import { readPassages } from '../../../core/fill/paths/scope';
import type { Find } from '../../../core/recognise/find';
import { letterText } from '../../../core/recognise/letterText';
import { typedFacts } from '../../../core/recognise/typedFacts';
import { schemaOf } from '../../../core/records/schema';
import type { Template } from '../../../core/template/template';
import { recogniser } from '../fromLetter/useRecognised';
import type { InView } from '../useInView';

/** A template is looked through when nothing was typed for so many milliseconds. */
const PAUSE = 800;

/** What of a template’s words is one client’s alone, with the template it was found in. */
export interface FoundTyped {
  template: Template;
  finds: Find[];
  /** something was changed since, and it is about to be looked through anew */
  isOld: boolean;
}

/**
 * Looks a template through for the facts of the record in view, while it is written: in a worker, which the page never waits for.
 * @param template as it was read last; undefined while its words have mistakes
 */
export function useTypedFacts(
  template: Template | undefined,
  facts: WordsFacts,
  view: InView,
): FoundTyped | undefined {
  const worker = useRef<{ of: string; worker: Worker; facts?: InView['facts'] }>(undefined);
  const [found, setFound] = useState<Omit<FoundTyped, 'isOld'>>();
  useEffect(() => () => worker.current?.worker.terminate(), []);

  const { start, facts: seen } = view;
  useEffect(() => {
    if (!template || start === undefined || !seen || typeof seen === 'string') return;
    let latest = true;
    const timer = setTimeout(() => {
      const { startsFrom } = template.head;
      if (worker.current?.of !== startsFrom) {
        worker.current?.worker.terminate();
        worker.current = { of: startsFrom, worker: recogniser(facts, startsFrom) };
      }
      const asked = worker.current;
      const { text, links, listed } = letterText(template.head.subject, template.document);
      asked.worker.onmessage = ({ data }: MessageEvent<ToldRecognised>) => {
        if (!latest || !('finds' in data)) return;
        const context = { schema: schemaOf({ business: facts.business }), passages: readPassages([]) };
        setFound({ template, finds: typedFacts(data.finds, startsFrom, context) });
      };
      // The records go over once.
      const records =
        asked.facts === seen ? undefined : recordsOf(seen, facts, { kind: startsFrom, key: start });
      asked.facts = seen;
      asked.worker.postMessage({
        ...(records ? { records } : {}),
        letter: { text, links, listed },
      } satisfies AskRecognise);
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [template, facts, start, seen]);

  return found && { ...found, isOld: found.template !== template };
}

function recordsOf(
  seen: Exclude<InView['facts'], string | undefined>,
  { signatures }: WordsFacts,
  start: { kind: Template['head']['startsFrom']; key: string },
) {
  return {
    facts: { ...seen, templates: [], passages: [], signatures },
    phones: seen.phones,
    start,
  };
}
