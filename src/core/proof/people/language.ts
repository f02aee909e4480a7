import { foreignLanguage } from '../../fitting/foreignLanguage';
import { languageGuessed } from '../../reading/languageGuessed';
import { bodyOf } from '../reading/lines';
import type { Check } from '../proofMark';

/** A letter in another language than its client reads; whoever else it is written to is not asked about. */
export const checkLanguage: Check = ({ head, lines }, situation) => {
  if ((head.writtenTo ?? 'client') !== 'client') return [];
  const written =
    languageGuessed(
      bodyOf(lines)
        .map(({ text }) => text)
        .join('\n'),
    ) ?? head.language;
  const foreign = foreignLanguage(written, situation);
  if (foreign === undefined) return [];
  const name = situation.client?.record.name ?? 'the client';
  return [
    {
      kind: 'query',
      id: `language ${foreign}`,
      message: `It is written ${foreign[0]!.toLowerCase()}${foreign.slice(1)}; for ${name} it should be in ${readBy(situation)}.`,
    },
  ];
};

function readBy({ client, book }: Parameters<Check>[1]): string {
  const language = client?.record.language ?? book.business.locale ?? 'en';
  return new Intl.DisplayNames('en', { type: 'language' }).of(language.slice(0, 2)) ?? language;
}
