import { object, string, type InferType } from 'yup';
import { MAIL_ACCOUNT, SHOWN_ACCOUNT } from './mailAccount';
import { emailAddress, whole } from './parts';

/** By which server letters leave: given to `/api/sending-accounts/<whose>`. */
export const SENDING_ACCOUNT = MAIL_ACCOUNT.concat(
  object({
    envelope_address: emailAddress(),
    most: whole(1, 100_000),
    per: string().oneOf(['minute', 'hour', 'day']).required(),
  }),
).noUnknown();
export type SendingAccountFacts = InferType<typeof SENDING_ACCOUNT>;

/** Where there is none yet. */
export const NO_ACCOUNT: SendingAccountFacts = {
  version: 0,
  host: '',
  port: 465,
  security: 'tls',
  sign_in: 'password',
  per: 'hour',
};

/** As a form's controls show them. */
export function shownAccount({ version: _, ...facts }: SendingAccountFacts) {
  return { ...SHOWN_ACCOUNT, envelope_address: '', most: '', ...facts, secret: '' };
}
