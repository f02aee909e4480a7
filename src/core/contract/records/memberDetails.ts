import { object, type InferType } from 'yup';
import { VERSION } from '../numbers';
import { emailAddress, line, phoneNumber, picture } from './parts';

/** What letters say of a member, with the version that was seen: given to `/api/members/<key>/details`. */
export const MEMBER_DETAILS = object({
  version: VERSION,
  full_name: line().required('Write the name, as letters say it.'),
  given_name: line(),
  family_name: line(),
  title: line(),
  phone: phoneNumber(),
  mobile: phoneNumber(),
  picture: picture(),
  email: emailAddress().required('Write the address that letters come from.'),
}).noUnknown();
export type MemberDetails = InferType<typeof MEMBER_DETAILS>;

/** As a form's controls show them. */
export function shownMember({ version: _, ...facts }: MemberDetails) {
  return { given_name: '', family_name: '', title: '', phone: '', mobile: '', picture: '', ...facts };
}
