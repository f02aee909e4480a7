import { eachPart } from '../../document/eachPart';
import type { Block } from '../../document/templateDocument';
import type { Template, TemplateHead } from '../../template/template';
import type { Scope } from '../paths/scope';
import type { Emit } from '../run';
import { compileBlocks } from './blocks';
import { listRuns } from './listRuns';
import { sequence } from './structure';

/** A template whose words stand in a letter from another one. */
export interface PutInTemplate extends Template {
  /** names its parts */
  key: string;
  /** the part of the letter's own template that it stands behind; absent, or not there: before the signature */
  behind?: string;
}

/** The words of a template without what a letter has once: its greeting and its signature. */
export function wordsPutIn({ document }: Template): Block[] {
  const [first, ...others] = document.content;
  const all = first && isGreeting(first) ? others : document.content;
  return all.filter((block) => !isSignature(block));
}

/** The head of a letter into which others were put: everything goes along that goes along with one of them. */
export function joinedHead(head: TemplateHead, others: readonly Template[]): TemplateHead {
  const attach = [...new Set([head, ...others.map((one) => one.head)].flatMap((one) => one.attach ?? []))];
  const action = head.action ?? others.find((one) => one.head.action)?.head.action;
  return { ...head, ...(attach.length ? { attach } : {}), ...(action ? { action } : {}) };
}

/** The same scope for the words of a template that is put in, whose parts have names of their own. */
export function scopePutIn(scope: Scope, { key, head }: PutInTemplate): Scope {
  return { ...scope, naming: { of: `${key}:`, parts: 0 }, places: new WeakMap(), file: head.name };
}

/** Compiles the words of a template with others put in behind their parts. */
export function compileJoined(blocks: readonly Block[], scope: Scope, putIn: readonly PutInTemplate[]): Emit {
  if (putIn.length === 0) return compileBlocks(blocks, scope);
  // By the runs by which they are compiled alone, so that each part has the name that it has there.
  const own = listRuns(blocks, scope).map((run) => {
    const from = scope.naming.parts;
    return { emit: compileBlocks(run, scope), from, to: scope.naming.parts, signs: run.some(isSignature) };
  });
  const last = own.findLastIndex(({ signs }) => signs);
  const end = last < 0 ? own.length : last;
  const at = putIn.map((one) => {
    const part = partNumber(one.behind, scope);
    const host = part === undefined ? -1 : own.findIndex(({ from, to }) => from <= part && part < to);
    return host < 0 ? end : host + 1;
  });
  const emits = putIn.map((one) => compileBlocks(wordsPutIn(one), scopePutIn(scope, one)));
  const before = (place: number) => emits.filter((_, i) => at[i] === place);
  return sequence([...own.flatMap(({ emit }, i) => [...before(i), emit]), ...before(own.length)]);
}

/** Which part a name is of, by the order of parts; undefined: it is another template's. */
function partNumber(name: string | undefined, { naming: { of } }: Scope): number | undefined {
  if (!name?.startsWith(of)) return undefined;
  const [, number] = /^([0-9a-z]+)/.exec(name.slice(of.length)) ?? [];
  return number === undefined ? undefined : parseInt(number, 36);
}

function isGreeting(block: Block): boolean {
  if (block.type !== 'paragraph') return false;
  for (const { part } of eachPart(block.content))
    if (part.type === 'field' && part.attrs.path.startsWith('recipient.')) return true;
  return false;
}

function isSignature(block: Block): boolean {
  for (const { part } of eachPart([block])) if (part.type === 'signature') return true;
  return false;
}
