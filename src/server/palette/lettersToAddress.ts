import { isAddress } from '../../core/addressing/addresses';
import type { PaletteLetter } from '../../core/contract/palette';
import { newClientKey } from '../../core/records/which/newClient';
import { wordsWanted } from '../../core/searching/finder';
import { clientOfAddress, enquiriesOfAddress } from '../../data/repositories/startingRecords';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { lettersTo, templatesCalled } from './lettersTo';

/** What was typed around an address: “write to Bram Tolliver <bram@tolliver.example> thank you”. */
const AROUND =
  /^(?:write\s+(?:to\s+)?)?(.*?)[\s<,;("]*([^\s<>,;()"@]+@[^\s<>,;()"@]+\.[^\s<>,;()"@.]+)[\s>,;)".]*(.*)$/iu;

/** More than this nobody types. */
const LONGEST = 300;

/**
 * The letters to an address that is typed out: what they have asked already, then to the client who has it, else to whoever it may be,
 * who is a client once the letter goes. The words before it are the name; those behind it say which template, or are the name where no
 * template has them. Undefined: there is no address in it.
 */
export async function lettersToAddress(
  member: CurrentMember,
  find: string,
): Promise<PaletteLetter[] | undefined> {
  const [, before = '', email = '', behind = ''] = (find.length <= LONGEST && AROUND.exec(find.trim())) || [];
  if (!isAddress(email)) return undefined;
  const wanted = wordsWanted(behind);
  const templates = wanted.length > 0 ? await templatesCalled(member, wanted) : [];
  const known = await clientOfAddress(connection(), member.business_id, email);
  const typed = before.trim() || (templates.length > 0 ? '' : behind.trim());
  // Whoever is known has a name.
  const key = newClientKey(known ? '' : typed, email);
  if (key === undefined) return [];
  const name = known?.name ?? (typed ? `${typed}, ${email}` : email);
  const note = known
    ? email
    : `${typed ? '' : 'put the name before it; '}no client yet: one is made when the letter goes`;
  const asked = known ? [] : await enquiriesOfAddress(connection(), member.business_id, email);
  const letters = await lettersTo(member, { key, name }, templates);
  return [
    ...asked.map((enquiry) => ({
      name: enquiry.name ?? email,
      from: `enquiry:${enquiry.key}`,
      note: ['who asked', enquiry.service, enquiry.status].filter(Boolean).join(', '),
    })),
    ...(letters.length > 0
      ? letters.map((letter) => ({ note, ...letter }))
      : [{ name, from: `client:${key}`, note }]),
  ];
}
