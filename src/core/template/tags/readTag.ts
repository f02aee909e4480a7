import type { Blank, BlankType } from '../../document/templateDocument';
import { didYouMean } from '../../problems/nearest';
import { TagError, closingQuote, isPath, lex, quote, type Token } from './lexer';
import { readCondition, readWhere } from './readCondition';
import { readStep } from './readSteps';
import type { Step } from '../../document/step';
import type { Tag } from './tag';

/** Reads what stands between `{{` and `}}`. Throws TagError with the offset inside it. */
export function readTag(inner: string): Tag {
  const start = inner.length - inner.trimStart().length;
  const sigil = inner[start] ?? '';
  const after = inner.slice(start + 1);
  switch (sigil) {
    case '':
      throw new TagError('This tag is empty.', 0);
    case '!':
      return { type: 'comment', attrs: { words: after.trim() } };
    case '{':
    case '&':
      throw new TagError('There is no tag for unescaped values: write {{path}} with two braces.', start);
    case '=':
      throw new TagError('The braces of tags cannot be changed: {{= … =}} is not understood.', start);
    case '>':
      if (!after.trim())
        throw new TagError('The name of a passage is missing, as {{> Before we come}}.', start);
      return { type: 'passage', attrs: { passage: after.trim().replace(/\s+/g, ' ') } };
    case '?':
      return readBlank(inner, start + 1);
    case '/': {
      const path = after.trim();
      if (path === 'when') return { type: 'close when' };
      if (!isPath(path))
        throw new TagError('A closing tag names the path alone, as {{/invoice.lines}}.', start);
      return { type: 'close', path };
    }
    case '#':
    case '^':
      return readOpening(inner, start);
    default:
      return readField(inner);
  }
}

function readOpening(inner: string, start: number): Tag {
  const tokens = lex(inner, start + 1);
  const inverted = inner[start] === '^';
  if (!inverted && tokens[0]?.text === 'when' && tokens[1]?.kind !== 'pipe' && tokens.length > 1) {
    return { type: 'open when', condition: readCondition(tokens.slice(1), inner.length, { steps: true }) };
  }
  if (tokens[0]?.text === 'when') {
    throw new TagError('Only when needs a condition, as {{#when invoice.balance over 100}}.', start);
  }
  return { type: 'open', ...readPathAndSteps(tokens, inner.length), ...(inverted ? { inverted } : {}) };
}

function readField(inner: string): Tag {
  const tokens = lex(inner);
  const [first, second] = tokens;
  const word = first?.kind === 'word' ? first.text : '';
  if (tokens.length === 1 && word === 'signature') return { type: 'signature' };
  if (tokens.length === 1 && word === 'otherwise') return { type: 'otherwise' };
  if (word === 'gap' || word === 'unfinished') {
    if (second?.kind !== 'quoted' || tokens.length !== 2) {
      throw new TagError(`${word} takes its words in quotation marks, as {{${word} "…"}}.`, first!.at);
    }
    return { type: word, attrs: { words: second.text } };
  }
  return { type: 'field', attrs: readPathAndSteps(tokens, inner.length) };
}

function readPathAndSteps(tokens: Token[], end: number): { path: string; steps: Step[] } {
  const [path, ...rest] = tokens;
  if (!path) throw new TagError('The name of a field is missing.', end);
  if (path.kind !== 'word' || !isPath(path.text)) {
    throw new TagError(`“${path.text}” is no field; a field is written as {{invoice.number}}.`, path.at);
  }
  if (rest.length && rest[0]!.kind !== 'pipe') {
    throw new TagError(`“|” is missing before “${rest[0]!.text}”.`, rest[0]!.at);
  }
  return { path: path.text, steps: readSteps(rest) };
}

function readSteps(tokens: Token[]): Step[] {
  const steps: Step[] = [];
  for (let at = 0; at < tokens.length;) {
    const next = tokens.findIndex((token, i) => i > at && token.kind === 'pipe');
    const end = next < 0 ? tokens.length : next;
    if (steps.at(-1)?.step === 'or') throw new TagError('“or” is the last step.', tokens[at]!.at);
    steps.push(readStep(tokens.slice(at + 1, end), tokens[at]!.at, readWhere));
    at = end;
  }
  return steps;
}

/** `? Name : type = default | steps`; the first `:` or `=` ends the name. */
function readBlank(inner: string, from: number): Blank {
  const bar = firstUnquoted(inner, from, '|');
  const definition = inner.slice(from, bar < 0 ? undefined : bar);
  const mark = definition.search(/[:=]/);
  const name = (mark < 0 ? definition : definition.slice(0, mark)).trim().replace(/\s+/g, ' ');
  if (!name) throw new TagError('The name of a blank is missing, as {{? Hourly rate}}.', from);
  if (name.includes('"')) {
    throw new TagError('The name of a blank stands without quotation marks, as {{? Hourly rate}}.', from);
  }
  const attrs: Blank['attrs'] = { name, steps: bar < 0 ? [] : readSteps(lex(inner, bar)) };
  const blank: Blank = { type: 'blank', attrs };
  if (mark < 0) return blank;
  const isType = definition[mark] === ':';
  const equals = isType ? firstUnquoted(definition, mark, '=') : mark;
  if (isType) {
    const type = definition.slice(mark + 1, equals < 0 ? undefined : equals);
    attrs.answer = readBlankType(type, from + mark + 1);
  }
  if (equals >= 0) attrs.default = readDefault(definition.slice(equals + 1), from + equals + 1);
  return blank;
}

const SIMPLE = ['text', 'long text', 'number', 'money', 'date', 'yes/no'] as const;

function readBlankType(source: string, at: number): BlankType {
  const text = source.trim().replace(/\s+/g, ' ');
  const kind = SIMPLE.find((name) => name === text);
  if (kind) return { kind };
  if (/^choice\b/.test(text)) {
    const [, of, ...choices] = lex(source);
    if (of?.text !== 'of' || choices.length === 0 || choices.some((token) => token.kind !== 'quoted')) {
      throw new TagError('A choice lists its answers, as {{? Size : choice of "small" "large"}}.', at);
    }
    return { kind: 'choice', of: choices.map((token) => token.text) };
  }
  throw new TagError(
    `A blank is one of ${SIMPLE.join(', ')} or choice of "a" "b", not “${text}”.${didYouMean(text, SIMPLE)}`,
    at,
  );
}

function readDefault(source: string, at: number): string {
  const text = source.trim();
  if (!text) throw new TagError('The default is missing after “=”.', at);
  if (!text.startsWith('"')) return text;
  const tokens = lex(source);
  if (tokens.length !== 1) throw new TagError(`A default is one text, as = ${quote('soon')}.`, at);
  return tokens[0]!.text;
}

function firstUnquoted(source: string, from: number, wanted: string): number {
  for (let at = from; at < source.length; at++) {
    if (source[at] === wanted) return at;
    if (source[at] === '"') {
      const end = closingQuote(source, at);
      if (end < 0) throw new TagError('This quotation mark is never closed.', at);
      at = end;
    }
  }
  return -1;
}
