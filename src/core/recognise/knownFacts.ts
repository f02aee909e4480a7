import type { Step } from '../document/step';
import type { Block, Inline } from '../document/templateDocument';
import { FieldDesk } from '../fields/fieldDesk';
import type { OfferedField } from '../fields/fieldsAt';
import { compileTemplate, type CompiledTemplate } from '../fill/compileTemplate';
import type { CompileContext } from '../fill/compile/newScope';
import { fillTemplate } from '../fill/fillTemplate';
import type { BookingWords } from '../records/bookingWords';
import type { StartingKind } from '../records/recordKind';
import type { FieldType } from '../records/fieldType';
import type { Situation } from '../records/which/situation';
import { recognisedForms } from './recognisedForms';

/** A fact of the records a letter is about, with what each of its forms says. */
export interface KnownFact {
  path: string;
  /** “Visit, start” */
  label: string;
  type: FieldType;
  /** as it is stored: ISO dates and moments, minor units, text */
  raw: unknown;
  /** its own form first */
  forms: { steps: Step[]; says: string }[];
}

/** How a letter is written: from which kind of record, and in which language (BCP 47; absent: the business's). */
export interface Written {
  situation: Situation;
  context: CompileContext;
  language?: string;
}

/** What a letter is signed with: a field of its own, and no fact. */
export const SIGNATURE = 'signature';

/** What no letter says, though it is a fact: how the business works, and what it keeps for itself. */
const NEVER_SAID =
  /(?:^|\.)(?:locale|time_zone|currency|hour_cycle|working_days|holidays|item_label|booking_label|kind|status|state|tags|source|notes|language|uses|via|no_letters_since|files|signature)$/;

/** Lists that letters name as one: others are written row by row, or not at all. */
const LISTED = /\.(?:items|partners|unpaid_invoices|wanted_on)$/;

/** Everything that a field of a template can say of the records at hand, and how: filled once for all. */
export function knownFacts({ situation, context, language }: Written): KnownFact[] {
  const { asked, compiled } = askingTemplate(situation, context, language);
  const { notes, holes, text, signatureAt } = fillTemplate(compiled, situation);
  const missing = new Set(holes.map(({ id }) => id));
  const facts = new Map<string, KnownFact>();
  asked.forEach(({ title, field: { path, label, type }, steps }, i) => {
    const { id, value, raw, path: told } = notes[i]!;
    if (told !== path) throw new Error(`“${path}” was not told in its place.`);
    if (missing.has(id) || !value.trim()) return;
    const fact = facts.get(path) ?? { path, label: `${title}, ${label}`, type, raw, forms: [] };
    fact.forms.push({ steps, says: value });
    facts.set(path, fact);
  });
  const says = signatureAt === undefined ? '' : text.slice(signatureAt).trim();
  if (says)
    facts.set(SIGNATURE, {
      path: SIGNATURE,
      label: 'signature',
      type: { kind: 'long text' },
      raw: says,
      forms: [{ steps: [], says }],
    });
  return [...facts.values()];
}

/** A template that says everything in each of its forms. */
interface Asking {
  asked: { title: string; field: OfferedField; steps: Step[] }[];
  compiled: CompiledTemplate;
}

/** By the kind of record and the language: many letters are read one after the other. */
const made = new WeakMap<CompileContext, Map<string, Asking>>();

function askingTemplate(
  { start, book }: Situation,
  context: CompileContext,
  language: string | undefined,
): Asking {
  const key = `${start.kind} ${book.words.booking} ${language ?? ''}`;
  const known = made.get(context) ?? new Map<string, Asking>();
  made.set(context, known);
  let asking = known.get(key);
  if (!asking) known.set(key, (asking = makeAsking(start.kind, book.words, context, language)));
  return asking;
}

function makeAsking(
  startsFrom: StartingKind,
  titles: BookingWords,
  context: CompileContext,
  language: string | undefined,
): Asking {
  const head = {
    name: '',
    group: '',
    startsFrom,
    subject: [],
    ...(language === undefined ? {} : { language }),
  };
  const asked = new FieldDesk(head, context, { booking: titles.booking })
    .fieldsAt([])
    .filter(({ unreachable }) => unreachable === undefined)
    .flatMap(({ title, fields }) => fields.map((field) => ({ title, field })))
    .filter(({ field }) => isSaid(field))
    .flatMap(({ title, field }) =>
      recognisedForms(field, language ?? context.schema.locale).map((steps) => ({ title, field, steps })),
    );
  const words: Inline[] = asked.map(({ field: { path }, steps }) => ({
    type: 'field',
    attrs: { path, steps },
  }));
  const content = [...words, { type: 'signature' } as const].map((word): Block => ({
    type: 'paragraph',
    content: [word],
  }));
  const { compiled, problems } = compileTemplate({ head, document: { type: 'doc', content } }, context);
  if (!compiled) throw new Error(`A form of a fact does not fit: ${problems[0]!.message}`);
  return { asked, compiled };
}

function isSaid({ path, type }: OfferedField): boolean {
  if (type.kind === 'collection') return LISTED.test(path);
  return !NEVER_SAID.test(path) && !['image', 'file', 'yes/no', 'record'].includes(type.kind);
}
