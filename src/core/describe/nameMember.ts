import { fullName } from '../people/names';
import type { RecordBook } from '../records/recordBook';

/** What a member is called in the house: the given name, where there is one. Undefined: there is no such member. */
export function nameMember({ members }: RecordBook, key: string | null | undefined): string | undefined {
  const member = members.get(key ?? '');
  return member?.given_name ?? (member && fullName(member));
}
