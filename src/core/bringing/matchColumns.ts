import type { CustomFieldData } from '../records/recordsFile';
import { foldText } from '../searching/foldText';

/** What a column of a table of clients can be. */
const CLIENT_COLUMNS = [
  ...(['name', 'given_name', 'family_name', 'honorific', 'preferred_name', 'organisation', 'kind'] as const),
  ...(['email', 'phone', 'mobile', 'street', 'street_2', 'town', 'region', 'postcode', 'country'] as const),
  ...(['language', 'tags', 'since', 'source', 'notes'] as const),
];
export type ClientColumn = (typeof CLIENT_COLUMNS)[number] | `custom.${string}`;

/** What the columns are called elsewhere, folded, in the languages that we read. */
const CALLED: Readonly<Record<(typeof CLIENT_COLUMNS)[number], readonly string[]>> = {
  name: [
    'name',
    'full name',
    'client',
    'client name',
    'customer',
    'customer name',
    'contact',
    'display name',
    'kunde',
    'nom complet',
  ],
  given_name: ['first name', 'given name', 'forename', 'firstname', 'vorname', 'prenom'],
  family_name: [
    'last name',
    'family name',
    'surname',
    'lastname',
    'nachname',
    'familienname',
    'nom de famille',
    'nom',
  ],
  honorific: ['title', 'honorific', 'salutation', 'anrede', 'civilite'],
  preferred_name: ['nickname', 'preferred name', 'known as', 'rufname', 'surnom'],
  organisation: [
    'company',
    'organisation',
    'organization',
    'business',
    'firma',
    'societe',
    'entreprise',
    'company name',
  ],
  kind: ['kind', 'type', 'client type', 'art'],
  email: [
    'email',
    'e-mail',
    'email address',
    'e-mail address',
    'mail',
    'e-mail-adresse',
    'courriel',
    'adresse e-mail',
    'e-mail 1 - value',
  ],
  phone: [
    'phone',
    'telephone',
    'phone number',
    'tel',
    'home phone',
    'work phone',
    'business phone',
    'telefon',
    'festnetz',
    'telephone fixe',
    'phone 1 - value',
  ],
  mobile: [
    'mobile',
    'mobile phone',
    'cell',
    'cell phone',
    'mobile number',
    'handy',
    'mobil',
    'portable',
    'telephone portable',
  ],
  street: ['street', 'address', 'address line 1', 'street address', 'address 1', 'strasse', 'adresse', 'rue'],
  street_2: ['address line 2', 'address 2', 'street 2', 'adresszusatz', 'complement'],
  town: ['town', 'city', 'ort', 'stadt', 'ville'],
  region: ['county', 'state', 'region', 'province', 'bundesland'],
  postcode: ['postcode', 'postal code', 'zip', 'zip code', 'post code', 'plz', 'postleitzahl', 'code postal'],
  country: ['country', 'land', 'pays'],
  language: ['language', 'sprache', 'langue'],
  tags: ['tags', 'labels', 'groups', 'categories', 'gruppen', 'etiquettes'],
  since: ['since', 'client since', 'customer since', 'created', 'date added', 'kunde seit', 'client depuis'],
  source: ['source', 'how they found us', 'referred by', 'herkunft', 'origine'],
  notes: ['notes', 'note', 'comments', 'comment', 'remarks', 'notizen', 'bemerkungen', 'remarques'],
};

/**
 * What each column of a table is likely to be, by what heads it; undefined where nothing tells. Each is guessed once: of two that
 * are called alike the first is taken.
 */
export function matchColumns(
  header: readonly string[],
  fields: readonly CustomFieldData[] = [],
): (ClientColumn | undefined)[] {
  const known = new Map<string, ClientColumn>();
  for (const { record, key, label } of fields)
    if (record === 'client') known.set(plain(label), `custom.${key}`);
  for (const column of CLIENT_COLUMNS)
    for (const name of [column.replaceAll('_', ' '), ...CALLED[column]]) known.set(plain(name), column);
  const taken = new Set<ClientColumn>();
  return header.map((head) => {
    const column = known.get(plain(head));
    if (column === undefined || taken.has(column)) return undefined;
    taken.add(column);
    return column;
  });
}

function plain(head: string): string {
  return foldText(head)
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
}
