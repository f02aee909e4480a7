import type { Situation } from '../records/which/situation';
import { checkAttachments } from './along/attachments';
import { checkLinks } from './along/links';
import { checkSpokenOf } from './along/spokenOf';
import { checkCalledOff } from './facts/calledOff';
import { checkFit } from './facts/fit';
import { checkHoles } from './facts/holes';
import { checkNearFacts } from './facts/nearFacts';
import { checkNegatives } from './facts/negatives';
import { checkNothingOwed } from './facts/nothingOwed';
import { checkPastVisits } from './facts/pastVisits';
import { checkReminders } from './facts/reminders';
import { checkTakenDays } from './facts/takenDays';
import { checkTwoFacts } from './facts/twoFacts';
import { checkWeekdays } from './facts/weekdays';
import { checkAddressees } from './people/addressees';
import { checkBounced } from './people/bounced';
import { checkForOthers } from './people/forOthers';
import { checkGreeted } from './people/greeted';
import { checkLanguage } from './people/language';
import { checkNameAbove } from './people/nameAbove';
import { checkNoLetters } from './people/noLetters';
import { checkOtherClients } from './people/otherClients';
import { checkOutsiders } from './people/outsiders';
import { checkSameAgain } from './people/sameAgain';
import { checkSender } from './people/sender';
import { checkSigned } from './people/signed';
import type { Check, Proofed, ProofMark } from './proofMark';
import { checkCapitals } from './words/capitals';
import { checkGaps } from './words/gaps';
import { checkInternalSubject } from './words/internalSubject';
import { checkNothingSaid } from './words/nothingSaid';
import { checkSubject } from './words/subject';
import { checkTwice } from './words/twice';

const CHECKS: readonly Check[] = [
  checkNoLetters,
  checkAddressees,
  checkSender,
  checkSigned,
  checkSubject,
  checkNothingSaid,
  checkHoles,
  checkAttachments,
  checkLinks,
  checkOtherClients,
  checkGreeted,
  checkForOthers,
  checkLanguage,
  checkBounced,
  checkSameAgain,
  checkCalledOff,
  checkNothingOwed,
  checkReminders,
  checkPastVisits,
  checkTakenDays,
  checkWeekdays,
  checkTwoFacts,
  checkNearFacts,
  checkNegatives,
  checkSpokenOf,
  checkOutsiders,
  checkNameAbove,
  checkInternalSubject,
  checkGaps,
  checkTwice,
  checkCapitals,
];

/** Says only that it is not the moment: where another check says why, that is enough. */
const WHY = /^(?:called off|nothing owed|reminder|past booking|language) ?/;

/** The checks on a fair copy before it goes: stops first, then queries, each once. */
export function proof(letter: Proofed, situation: Situation): ProofMark[] {
  const found = CHECKS.flatMap((check) => check(letter, situation));
  const marks = found.some(({ id }) => WHY.test(id)) ? found : [...found, ...checkFit(letter, situation)];
  const once = [...new Map(marks.map((mark) => [mark.id, mark])).values()];
  return [...once.filter(({ kind }) => kind === 'stop'), ...once.filter(({ kind }) => kind === 'query')];
}
