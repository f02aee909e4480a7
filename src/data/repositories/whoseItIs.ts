import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** What is asked for, as it stands in a letter. */
export interface AskedWhose {
  names: readonly string[];
  emails: readonly string[];
  phones: readonly string[];
  streets: readonly string[];
  invoices: readonly string[];
}

/** Words that are on a client's record, and as what. */
export interface Whose {
  words: string;
  by: 'name' | 'email' | 'phone' | 'street' | 'invoice';
  name: string;
}

/** Whose some words are, of all clients but one; each look by its own index. @param own the client whose they may be */
export async function whoseItIs(
  { sequelize }: Database,
  business_id: string,
  { names, emails, phones, streets, invoices }: AskedWhose,
  own: string | null,
): Promise<Whose[]> {
  const wanted = [
    ...names.map((words) => ({ by: 'name', words })),
    ...emails.map((words) => ({ by: 'email', words })),
    ...phones.map((words) => ({ by: 'phone', words })),
    ...streets.map((words) => ({ by: 'street', words })),
    ...invoices.map((words) => ({ by: 'invoice', words })),
  ];
  if (wanted.length === 0) return [];
  const of = 'business_id = $business_id';
  return sequelize.query<Whose>(
    `with wanted as materialized (
       select by, words, case by when 'phone' then digits(words) else lower(words) end as said
       from jsonb_to_recordset($wanted::jsonb) as one(by text, words text)),
     found as (
       select by, words, id as client_id from wanted join client on by = 'name' and ${of} and lower(name) = said
       union all select by, words, id from wanted join client on by = 'email' and ${of} and lower(email) = said
       union all select by, words, id from wanted join client on by = 'phone' and ${of} and digits(phone) = said
       union all select by, words, id from wanted join client on by = 'phone' and ${of} and digits(mobile) = said
       union all select by, words, id from wanted
         join client on by = 'street' and ${of} and lower(address #>> '{street,0}') = said
       union all select by, words, client_id from wanted
         join contact on by = 'name' and ${of} and lower(given_name || ' ' || family_name) = said
       union all select by, words, client_id from wanted join contact on by = 'email' and ${of} and lower(email) = said
       union all select by, words, client_id from wanted join contact on by = 'phone' and ${of} and digits(phone) = said
       union all select by, words, client_id from wanted join contact on by = 'phone' and ${of} and digits(mobile) = said
       union all select by, words, client_id from wanted join invoice on by = 'invoice' and ${of} and number = words)
     select distinct on (found.words) found.words, found.by, client.name
     from found join client on client.business_id = $business_id and client.id = found.client_id
     -- Two clients may share what they have: then it may well be this one's.
     where not exists (select from found same where same.words = found.words and same.client_id = $own)
     order by found.words, client.name`,
    { bind: { business_id, wanted: JSON.stringify(wanted), own }, type: QueryTypes.SELECT },
  );
}
