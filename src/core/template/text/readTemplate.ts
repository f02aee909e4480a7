import { byPlace, LineIndex, type Places, type Problem } from '../../problems/problem';
import { readFrontEntries, readHead } from '../front/readFront';
import { normalised, splitFront } from '../front/splitFront';
import type { Passage, Template } from '../template';
import { readMarkdown } from './readMarkdown';

/**
 * A file as read: the thing itself with the places of its tags, or everything that is wrong with it. What could be
 * read of a wrong template is its draft: only good for finding what else is wrong.
 */
export type Reading<T> =
  | { value: T; places: Places; problems: [] }
  | { value: undefined; draft?: T; places?: Places; problems: Problem[] };

const NEVER_CLOSED = 'The head that begins here is never closed with a line “---”.';

/**
 * Reads a template's file (docs/templates.md): YAML front matter, then CommonMark with tables and tags. What paths and
 * steps mean is judged when it is compiled.
 * @param file the name that problems are reported under
 */
export function readTemplate(source: string, file: string): Reading<Template> {
  const text = normalised(source);
  const lines = new LineIndex(text, file);
  const places: Places = new WeakMap();
  const problems: Problem[] = [];
  const split = splitFront(text);
  if (split === 'never closed' || !split.front) {
    const message =
      split === 'never closed' ? NEVER_CLOSED : 'A template begins with a head between two lines “---”.';
    return { value: undefined, problems: [{ ...lines.place(0), message }] };
  }
  const { start, end } = split.front;
  const yaml = text.slice(start, end);
  const entries = readFrontEntries(yaml, start, lines, problems);
  const head = problems.length ? undefined : readHead(entries, { start, yaml, lines, places, problems });
  const document = readBody(text, split.body, lines, places, problems);
  if (!head || problems.length) {
    return {
      value: undefined,
      ...(head ? { draft: { head, document } } : {}),
      places,
      problems: problems.sort(byPlace),
    };
  }
  return { value: { head, document }, places, problems: [] };
}

/**
 * Reads a passage's file: as a template's, but its head may be missing and has no other key than `name`, by which it
 * is referred to. The last
 * line break is no part of it.
 * @param fallbackName the file's name without its ending
 */
export function readPassage(source: string, file: string, fallbackName: string): Reading<Passage> {
  const text = normalised(source);
  const lines = new LineIndex(text, file);
  const places: Places = new WeakMap();
  const problems: Problem[] = [];
  const split = splitFront(text);
  if (split === 'never closed') {
    return { value: undefined, problems: [{ ...lines.place(0), message: NEVER_CLOSED }] };
  }
  let name = fallbackName;
  if (split.front) {
    const { start, end } = split.front;
    for (const entry of readFrontEntries(text.slice(start, end), start, lines, problems)) {
      if (entry.key === 'name' && entry.scalar?.value) name = String(entry.scalar.value);
      else {
        const message = `The head of a passage has a name and nothing else, not “${entry.key}”.`;
        problems.push({ ...lines.place(entry.at), message });
      }
    }
  }
  const document = readBody(text, split.body, lines, places, problems);
  if (problems.length) return { value: undefined, problems: problems.sort(byPlace) };
  const called = name.replace(/\s+/g, ' ').trim();
  return { value: { key: called, name: called, document }, places, problems: [] };
}

function readBody(text: string, from: number, lines: LineIndex, places: Places, problems: Problem[]) {
  const shifted = { place: (offset: number) => lines.place(from + offset) };
  return readMarkdown(text.slice(from), shifted, places, problems);
}
