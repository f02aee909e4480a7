import { wordsWanted } from '../searching/finder';
import { foldText } from '../searching/foldText';
import type { FieldGroup, OfferedField } from './fieldsAt';

/** A fact that was found, and whose it is. */
export interface FoundField {
  group: FieldGroup;
  field: OfferedField;
}

/** What says nothing about which fact is wanted, unless nothing else is said. */
const SMALL = new Set(
  'a an the of to for is are was do does did it its in on at by our my your we they their his her what which'.split(
    ' ',
  ),
);

/** How much a word that is found counts, by where: its label, whose it is, what else it is called, its description. */
const WEIGHTS = { label: 12, title: 7, synonym: 8, description: 3 };
/** One word of a longer label counts less than a label of one word. */
const ONE_OF_SEVERAL = 0.6;
/** A word that says little still tells whose fact is meant: “our phone”, “their street”. */
const SAYS_LITTLE = 0.5;
/** The beginning of a word counts less than a whole one. */
const BEGINNING = 0.6;
/** Facts of records that stand further down or that another one names, and pieces of facts, come after the like of them. */
const PER_GROUP = 0.4;
const OF_ANOTHER = 2;
const A_PIECE = 3;

/**
 * Finds facts by what they mean: every word that is wanted is in a label, a description, the record's name or another
 * word for it; the best come first. Without words, all but the pieces, as they stand.
 */
export function findFields(groups: readonly FieldGroup[], wanted: string): FoundField[] {
  const all = groups.flatMap((group) => group.fields.map((field) => ({ group, field })));
  const words = wordsWanted(wanted);
  if (words.length === 0) return all.filter(({ field }) => !field.piece);
  const roots = groups.filter(({ root }) => !root.includes('.')).map(({ root }) => root);
  const isOnlySmall = words.every((word) => SMALL.has(word));
  return all
    .map((found) => ({ found, weight: weigh(found, words, isOnlySmall, roots) }))
    .filter(({ weight }) => weight > -Infinity)
    .sort((a, b) => b.weight - a.weight)
    .map(({ found }) => found);
}

function weigh(
  { group, field }: FoundField,
  words: readonly string[],
  isOnlySmall: boolean,
  roots: readonly string[],
): number {
  const { label, title, synonym, description } = readyOf(group, field);
  const [first = '', ...further] = group.root.split('.');
  let weight = -roots.indexOf(first) * PER_GROUP - further.length * OF_ANOTHER - (field.piece ? A_PIECE : 0);
  for (const word of words) {
    const best = Math.max(
      part(label, word) * WEIGHTS.label * (label.length > 1 ? ONE_OF_SEVERAL : 1),
      part(title, word) * WEIGHTS.title,
      part(synonym, word) * WEIGHTS.synonym,
      part(description, word) * WEIGHTS.description,
    );
    const small = SMALL.has(word) && !isOnlySmall;
    if (best === 0 && !small) return -Infinity;
    weight += small ? best * SAYS_LITTLE : best;
  }
  return weight;
}

/** 1: a whole word, less: the beginning of one, 0: neither. */
function part(among: readonly string[], word: string): number {
  if (among.includes(word)) return 1;
  return among.some((one) => one.startsWith(word)) ? BEGINNING : 0;
}

interface Ready {
  label: string[];
  title: string[];
  synonym: string[];
  description: string[];
}

/** The words of each field, folded once. */
const READY = new WeakMap<OfferedField, Ready>();

function readyOf({ title }: FieldGroup, field: OfferedField): Ready {
  let ready = READY.get(field);
  if (!ready) {
    const words = (text: string) => foldText(text).match(/[\p{L}\p{N}]+/gu) ?? [];
    ready = {
      label: words(field.label),
      title: words(title),
      synonym: words(field.synonyms),
      description: words(field.description),
    };
    READY.set(field, ready);
  }
  return ready;
}
