import { HOUSEHOLD, JOINERS } from './namingCustoms';

/** Words by which an organisation is told from a person. */
const ORGANISATION =
  /(?:\b(?:ltd|limited|plc|llp|llc|inc|gmbh|ag|sarl|bv|co|company|school|college|academy|university|church|parish|council|centre|center|club|trust|hotel|home|studio|theatre|library|association|society|services?)\b|&\s*(?:sons?|daughters?|partners)\b)/iu;

/** "Saltby School" is an organisation, "Ada and Tom Reyes" a household, "Ada Reyes" a person; the owner can say otherwise. */
export function kindOfName(name: string): 'person' | 'household' | 'organisation' {
  if (ORGANISATION.test(name)) return 'organisation';
  return HOUSEHOLD.test(name) || JOINERS.test(name) ? 'household' : 'person';
}
