import { isAddress } from '../addressing/addresses';
import type { AddressData, Custom, CustomFieldData } from '../records/recordsFile';
import { kindOf } from '../records/read/clientLines';
import { present, type BroughtClient, type BroughtFacts, type Doubt } from './broughtClient';
import { readWrittenDay } from './readWrittenDay';
import type { ClientColumn } from './matchColumns';
import type { Table } from './readTable';

const KINDS: Readonly<Record<string, BroughtFacts['kind']>> = {
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
const MOST_WORDS = 200;
const MOST_NOTES = 20_000;

interface Asked {
  table: Table;
  /** what each column is */
  columns: readonly (ClientColumn | undefined)[];
  /** the business's own fields */
  fields?: readonly CustomFieldData[];
  /** BCP 47: how days are written where only their order tells day and month */
  locale: string;
}

/** The clients of a table, row by row, each with what of it is in doubt. Nobody is made of a row without a name. */
export function clientsInTable({ table, columns, fields = [], locale }: Asked): BroughtClient[] {
  const problems = new Map<number, string[]>();
  for (const { line, message } of table.problems)
    problems.set(line, [...(problems.get(line) ?? []), message]);
  return table.rows.map(({ line, cells }): BroughtClient => {
    const doubts: Doubt[] = (problems.get(line) ?? []).map((message) => ({
      column: '',
      words: '',
      message,
    }));
    const said = new Map<ClientColumn, { words: string; head: string }>();
    columns.forEach((column, i) => {
      const words = cells[i] ?? '';
      if (column && words) said.set(column, { words, head: table.header[i] ?? '' });
    });
    const doubt = (column: ClientColumn, message: string) => {
      const { words, head } = said.get(column)!;
      doubts.push({ column: head, words, message });
      return undefined;
    };
    const text = (column: ClientColumn, most = MOST_WORDS): string | undefined => {
      const words = said.get(column)?.words;
      if (words === undefined) return undefined;
      return words.length > most ? doubt(column, `That is longer than ${most} characters.`) : words;
    };
    const [given, family, company] = [text('given_name'), text('family_name'), text('organisation')];
    const own = text('name');
    const person = own ?? ([given, family].filter(Boolean).join(' ') || undefined);
    const name = own ?? company ?? person;
    if (name === undefined)
      return {
        row: line,
        doubts: [...doubts, { column: '', words: '', message: 'There is no name in it.' }],
      };
    const kind = kindFrom(name, company, person);
    const notes = [
      text('notes', MOST_NOTES),
      // Who is there, where the name is the house's.
      own === undefined && company !== undefined && person !== undefined ? `Contact: ${person}` : undefined,
    ];
    const client = present<BroughtFacts>({
      kind,
      name,
      ...(kind === 'person' ? { given_name: given, family_name: family, honorific: text('honorific') } : {}),
      preferred_name: text('preferred_name'),
      email: emailFrom(),
      phone: phoneFrom('phone'),
      mobile: phoneFrom('mobile'),
      address: addressFrom(),
      language: languageFrom(),
      tags: [...new Set((text('tags', 1000) ?? '').split(/[,;]/).map((tag) => tag.trim()))].filter(Boolean),
      since: dayFrom('since'),
      source: text('source'),
      notes: notes.filter(Boolean).join('\n') || undefined,
      custom: customFrom(),
    });
    return { row: line, client, doubts };

    function kindFrom(
      called: string,
      house: string | undefined,
      who: string | undefined,
    ): BroughtFacts['kind'] {
      const words = said.get('kind')?.words.toLowerCase();
      if (words !== undefined) {
        if (Object.hasOwn(KINDS, words)) return KINDS[words]!;
        doubt('kind', 'A client is a person, a household or an organisation.');
      }
      return house !== undefined && called === house && who !== house ? 'organisation' : kindOf(called);
    }
    function emailFrom(): string | undefined {
      const words = text('email', 254);
      if (words === undefined || isAddress(words)) return words;
      const several = words.split(/[,;\s]+/).filter(isAddress);
      doubt(
        'email',
        several.length > 0
          ? `Several addresses: ${several[0]!} is taken.`
          : 'This is no email address. It is left out.',
      );
      return several[0];
    }
    function phoneFrom(column: 'phone' | 'mobile'): string | undefined {
      const words = text(column, 60);
      if (words === undefined || /\d.*\d.*\d/.test(words)) {
        // A spreadsheet makes 1.23E+10 of a long number, and drops the 0 before it.
        if (words !== undefined && /^\d(?:\.\d+)?E\+\d+$/i.test(words))
          return doubt(column, 'A spreadsheet has cut this number. It is left out.');
        return words;
      }
      return doubt(column, 'This is no telephone number. It is left out.');
    }
    function addressFrom(): AddressData | undefined {
      const street = [text('street'), text('street_2')]
        .flatMap((words) => words?.split(/\r\n|\r|\n/) ?? [])
        .map((words) => words.trim())
        .filter(Boolean)
        .slice(0, 6);
      const known = present<AddressData>({
        street: street.length > 0 ? street : undefined,
        town: text('town'),
        region: text('region'),
        postcode: text('postcode', 20),
        country: text('country', 100),
      });
      return Object.keys(known).length > 0 ? known : undefined;
    }
    function languageFrom(): string | undefined {
      const words = text('language', 35);
      if (words === undefined || /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i.test(words)) return words;
      return doubt('language', 'A language is written as de or en-GB. It is left out.');
    }
    function dayFrom(column: ClientColumn): string | undefined {
      const words = text(column);
      if (words === undefined) return undefined;
      return readWrittenDay(words, locale) ?? doubt(column, 'There is no such day. It is left out.');
    }
    function customFrom(): Custom | undefined {
      const values: Record<string, Custom[string]> = {};
      for (const { record, key, type, choices = [] } of fields) {
        const column = `custom.${key}` as const;
        if (record !== 'client' || !said.has(column)) continue;
        const words = text(column, MOST_NOTES)!;
        const value = customValue(words, type, choices);
        if (value === undefined) doubt(column, `This is no ${type}. It is left out.`);
        else values[key] = value;
      }
      return Object.keys(values).length > 0 ? values : undefined;
    }
    function customValue(words: string, type: CustomFieldData['type'], choices: readonly string[]) {
      switch (type) {
        case 'number': {
          const number = Number(words.replace(',', '.'));
          return Number.isFinite(number) ? number : undefined;
        }
        case 'yes/no':
          return /^(?:yes|y|true|1|x)$/i.test(words)
            ? true
            : /^(?:no|n|false|0)$/i.test(words)
              ? false
              : undefined;
        case 'date':
          return readWrittenDay(words, locale);
        case 'choice':
          return choices.find((choice) => choice.toLowerCase() === words.toLowerCase());
        case 'money':
        case 'moment':
          return undefined;
        default:
          return words;
      }
    }
  });
}
