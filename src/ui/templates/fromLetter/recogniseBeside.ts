import type { AskRecognise, RecordsToFind, ToldRecognised } from '../../../core/contract/fromLetter';
import type { CompileContext } from '../../../core/fill/compile/newScope';
import { readPassages } from '../../../core/fill/paths/scope';
import { tellCountries } from '../../../core/fill/formats/phones/tellCountries';
import { recognise } from '../../../core/recognise/recognise';
import { rehearse } from '../../../core/recognise/rehearse';
import { RecordBook } from '../../../core/records/recordBook';
import type { RecordsFile } from '../../../core/records/recordsFile';
import { schemaOf } from '../../../core/records/schema';
import { situationFrom, type Situation } from '../../../core/records/which/situation';
import type { Signature } from '../../../core/template/template';

/** What facts are looked for by, for the business that it was made for. */
let context: (CompileContext & { of: string }) | undefined;
/** The records of the last letter. */
let known: { situation: Situation; context: CompileContext } | undefined;

/** Finds the facts of records in letters. */
export function hear({ data }: MessageEvent<AskRecognise>): void {
  try {
    if ('startsFrom' in data) {
      const { startsFrom, business, signatures } = data;
      rehearse(startsFrom, business, contextOf(business, signatures));
    } else postMessage(look(data));
  } catch {
    // What fails before anything is asked fails again when it is.
    if ('letter' in data)
      postMessage({ failed: 'The letter could not be looked through.' } satisfies ToldRecognised);
  }
}

function contextOf(business: RecordsFile['business'], signatures: readonly Signature[]): CompileContext {
  const of = JSON.stringify([business, signatures]);
  if (context?.of !== of)
    context = { schema: schemaOf({ business }), passages: readPassages([]), signatures, of };
  return context;
}

function look({ records, letter }: Extract<AskRecognise, { letter: unknown }>): ToldRecognised {
  if (records) known = situationOf(records);
  if (!known) return { failed: 'The record that it was written from is no longer there.' };
  return recognise(letter, known.situation, known.context);
}

function situationOf({ facts, phones, start }: RecordsToFind): typeof known {
  tellCountries(phones);
  const { records, now, member, signatures } = facts;
  const book = new RecordBook(records, now);
  const situation = situationFrom(book, start, { sender: book.members.get(member) ?? { key: member } });
  return situation && { situation, context: contextOf(records.business, signatures) };
}
