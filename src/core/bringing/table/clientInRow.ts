import { readWrittenSum } from '../../money/readWrittenSum';
import type { AddressData, Custom, CustomFieldData } from '../../records/recordsFile';
import { kindOfName } from '../../people/kindOfName';
import { present, type BroughtClient, type BroughtRow, type Mends, type OwnWays } from '../brought';
import type { ColumnOf, Columns } from './columns';
import type { Table, TableRow } from './readTable';
import { readWrittenDay } from '../readWrittenDay';
import { RowReader } from './rowReader';

const KINDS: Readonly<Record<string, BroughtClient['kind']>> = {
  person: 'person',
  private: 'person',
  individual: 'person',
  household: 'household',
  family: 'household',
  couple: 'household',
  organisation: 'organisation',
  organization: 'organisation',
  company: 'organisation',
  business: 'organisation',
};
const MOST_NOTES = 20_000;
const MOST_TAGS = 50;

/** A client of a row of a table, with what of it is in doubt. Nobody is made of a row without a name. */
export function clientInRow(
  table: Table,
  row: TableRow,
  columns: Columns<'client'>,
  own: OwnWays,
  mends?: Mends,
): BroughtRow<BroughtClient> {
  const reader = new RowReader<ColumnOf<'client'>>({ table, row, columns, own, mends });
  const { doubts } = reader;
  const [given, family, company] = [
    reader.text('given_name'),
    reader.text('family_name'),
    reader.text('organisation'),
  ];
  const called = reader.text('name');
  const person = called ?? ([given, family].filter(Boolean).join(' ') || undefined);
  const name = called ?? company ?? person;
  if (name === undefined) {
    reader.doubt('name', 'There is no name in it.');
    return { row: row.line, doubts };
  }
  const kind = kindFrom(name);
  const notes = [
    reader.lines('notes', MOST_NOTES),
    // Who is there, where the name is the house's.
    called === undefined && company !== undefined && person !== undefined ? `Contact: ${person}` : undefined,
  ];
  const facts = present<BroughtClient>({
    kind,
    name,
    ...(kind === 'person'
      ? { given_name: given, family_name: family, honorific: reader.text('honorific', 60) }
      : {}),
    preferred_name: reader.text('preferred_name'),
    email: reader.email('email'),
    phone: reader.phone('phone'),
    mobile: reader.phone('mobile'),
    address: addressFrom(),
    language: languageFrom(),
    tags: tagsFrom(),
    since: reader.day('since'),
    source: reader.text('source'),
    notes: notes.filter(Boolean).join('\n') || undefined,
    custom: customFrom(),
  });
  return { row: row.line, facts, doubts };

  function kindFrom(known: string): BroughtClient['kind'] {
    const words = reader.words('kind')?.toLowerCase();
    if (words !== undefined) {
      if (Object.hasOwn(KINDS, words)) return KINDS[words]!;
      reader.doubt('kind', 'A client is a person, a household or an organisation.');
    }
    return company !== undefined && known === company && person !== company
      ? 'organisation'
      : kindOfName(known);
  }
  function addressFrom(): AddressData | undefined {
    const street = [reader.lines('street', 1_000), reader.lines('street_2', 1_000)]
      .flatMap((words) => words?.split(/\r\n|\r|\n/) ?? [])
      .map((words) => words.trim().slice(0, 200))
      .filter(Boolean)
      .slice(0, 6);
    const known = present<AddressData>({
      street: street.length > 0 ? street : undefined,
      town: reader.text('town'),
      region: reader.text('region'),
      postcode: reader.text('postcode', 20),
      country: reader.text('country', 100),
    });
    return Object.keys(known).length > 0 ? known : undefined;
  }
  function tagsFrom(): string[] {
    const tags = (reader.text('tags', 4_000) ?? '').split(/[,;]/).map((tag) => tag.trim().slice(0, 60));
    return [...new Set(tags)].filter(Boolean).slice(0, MOST_TAGS);
  }
  function languageFrom(): string | undefined {
    const words = reader.text('language', 35);
    if (words === undefined || /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i.test(words)) return words;
    return reader.doubt('language', 'A language is written as de or en-GB. It is left out.');
  }
  function customFrom(): Custom | undefined {
    const values: Record<string, Custom[string]> = {};
    for (const field of own.fields) {
      const column = `custom.${field.key}` as const;
      if (field.record !== 'client' || reader.words(column) === undefined) continue;
      const words = field.type === 'long text' ? reader.lines(column, 4_000) : reader.text(column, 1_000);
      if (words === undefined) continue;
      const value = customValue(words, field, own);
      if (value === undefined) reader.doubt(column, `This is no ${field.type}. It is left out.`);
      else values[field.key] = value;
    }
    return Object.keys(values).length > 0 ? values : undefined;
  }
}

/** What a business's own field holds, from words; undefined where these are none of its type. */
function customValue(
  words: string,
  { type, choices = [] }: CustomFieldData,
  { locale, currency }: OwnWays,
): Custom[string] | undefined {
  switch (type) {
    case 'number': {
      const number = Number(words.replace(',', '.'));
      return Number.isFinite(number) ? number : undefined;
    }
    case 'yes/no':
      return /^(?:yes|y|true|1|x|ja|oui)$/i.test(words)
        ? true
        : /^(?:no|n|false|0|nein|non)$/i.test(words)
          ? false
          : undefined;
    case 'date':
      return readWrittenDay(words, locale);
    case 'choice':
      return choices.find((choice) => choice.toLowerCase() === words.toLowerCase());
    case 'money': {
      const money = readWrittenSum(words, currency, locale);
      return money === undefined ? undefined : { money };
    }
    case 'moment':
      return undefined;
    default:
      return words;
  }
}
