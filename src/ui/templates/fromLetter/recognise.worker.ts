import type { AskRecognise, ToldRecognised } from '../../../core/contract/fromLetter';
import { readPassages } from '../../../core/fill/paths/scope';
import { tellCountries } from '../../../core/fill/formats/phones/tellCountries';
import { recognise } from '../../../core/recognise/recognise';
import { RecordBook } from '../../../core/records/recordBook';
import { schemaOf } from '../../../core/records/schema';
import { situationFrom } from '../../../core/records/which/situation';

onmessage = ({ data }: MessageEvent<AskRecognise>) => {
  try {
    postMessage(look(data));
  } catch {
    postMessage({ failed: 'The letter could not be looked through.' } satisfies ToldRecognised);
  }
};

function look({ facts, phones, start, letter }: AskRecognise): ToldRecognised {
  tellCountries(phones);
  const { records, now, member, signatures } = facts;
  const book = new RecordBook(records, now);
  const situation = situationFrom(book, start, { sender: book.members.get(member) ?? { key: member } });
  if (!situation) return { failed: 'The record that it was written from is no longer there.' };
  const context = { schema: schemaOf(records), passages: readPassages([]), signatures };
  return recognise(letter, situation, context);
}
