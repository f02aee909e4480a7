import { QueryTypes } from 'sequelize';
import type { EnquiryFormFacts } from '../../core/contract/enquiryForm';
import type { Database } from '../database';
import { present } from './records/factsInRow';

/** A business's form as it stands, with what its address and its time are made with. */
export type KeptEnquiryForm = EnquiryFormFacts & { business_id: string; token: string; secret: string };

const COLUMNS = `form.business_id, form.token, form.secret, form.version, form.is_open, form.intro, form.asks_service, form.sites,
  (select key from passage where passage.business_id = form.business_id and passage.id = form.passage_id) as passage`;

/** The form of a business; undefined where it was never looked at. */
export async function enquiryFormOf(
  { sequelize }: Database,
  business_id: string,
): Promise<KeptEnquiryForm | undefined> {
  const [row] = await sequelize.query<object>(
    `select ${COLUMNS} from enquiry_form form where form.business_id = $business_id`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return row && (present(row) as unknown as KeptEnquiryForm);
}

/** The open form of an address; whose it is, is not known before. */
export async function enquiryFormAt(
  { sequelize, acrossBusinesses }: Database,
  token: string,
): Promise<KeptEnquiryForm | undefined> {
  const [row] = await acrossBusinesses(() =>
    sequelize.query<object>(
      `select ${COLUMNS} from enquiry_form form where form.token = $token and form.is_open`,
      {
        bind: { token },
        type: QueryTypes.SELECT,
      },
    ),
  );
  return row && (present(row) as unknown as KeptEnquiryForm);
}

/** Makes a business's form, closed; where there is one, it stands. */
export async function makeEnquiryForm(
  { sequelize }: Database,
  business_id: string,
  token: string,
  secret: string,
): Promise<void> {
  await sequelize.query(
    `insert into enquiry_form (business_id, token, secret) values ($business_id, $token, $secret)
     on conflict (business_id) do nothing`,
    { bind: { business_id, token, secret } },
  );
}

/** Keeps it where it is still as it was seen; gives whether it was. @param token another address */
export async function keepEnquiryForm(
  { sequelize }: Database,
  business_id: string,
  { version, is_open, intro, asks_service, sites, passage }: EnquiryFormFacts,
  token?: string,
): Promise<boolean> {
  const rows = await sequelize.query(
    `update enquiry_form set version = version + 1, is_open = $is_open, intro = $intro, asks_service = $asks_service,
       sites = $sites::text[], token = coalesce($token, token),
       passage_id = (select id from passage where business_id = $business_id and key = $passage)
     where business_id = $business_id and version = $version returning 1 as kept`,
    {
      bind: {
        business_id,
        version,
        is_open,
        intro: intro ?? null,
        asks_service,
        sites,
        passage: passage ?? null,
        token: token ?? null,
      },
      type: QueryTypes.SELECT,
    },
  );
  return rows.length === 1;
}
