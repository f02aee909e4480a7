import type { SendAnswer } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import type { ChangedFact } from '../../core/writing/factsOf';
import type { Answer } from '../writing/askServer';
import type { GivenTo } from './shelf';

/** How far a letter is on its way from its writer to the server. */
export type Handover =
  | { state: 'writing'; problem?: Obstacle }
  /** aside: it is on this device as well, and goes from there whatever becomes of its page */
  | { state: 'handing over'; aside?: true }
  /** it waits on this device for a connection */
  | { state: 'on the shelf'; to: GivenTo }
  | Kept;

/** A letter that the server has. */
export interface Kept {
  state: 'kept';
  /** the id under which the server has it */
  letter: string;
  status: string;
  reason?: string | null;
  /** by this device's clock */
  goesAt?: number;
  /** why it has not gone though its time has come */
  waits?: string;
  already?: boolean;
  /** the key of the client that was made with it */
  client?: string;
  /** why it could not be taken back */
  trouble?: string;
}

/** Why the server did not take it. */
export type Obstacle =
  | { kind: 'signed out' | 'offline' }
  | { kind: 'changed'; changed: ChangedFact[] }
  | { kind: 'refused'; words: string[] };

/** What the server's answer to a letter makes of it. @param id the letter's */
export function handoverOf(answer: Answer<SendAnswer | Refusal>, id: string): Handover {
  if ('offline' in answer) return { state: 'writing', problem: { kind: 'offline' } };
  const { body } = answer;
  switch (body.result) {
    case 'going':
      return { state: 'kept', letter: id, status: 'going', ...goesAt(body.goesIn), ...withClient(body) };
    case 'later':
      return { state: 'kept', letter: id, status: 'later', ...withClient(body) };
    case 'noted':
      return { state: 'kept', letter: id, status: 'elsewhere', ...withClient(body) };
    case 'already':
      return {
        state: 'kept',
        letter: id,
        status: body.status,
        already: true,
        ...goesAt(body.goesIn),
      };
    case 'changed':
      return { state: 'writing', problem: { kind: 'changed', changed: body.changed } };
    case 'stopped':
      return { state: 'writing', problem: { kind: 'refused', words: body.stops } };
    case 'gone':
      return {
        state: 'writing',
        problem: { kind: 'refused', words: [`The ${body.what} is no longer there.`] },
      };
    default:
      return {
        state: 'writing',
        problem: body.signedOut ? { kind: 'signed out' } : { kind: 'refused', words: [body.error] },
      };
  }
}

export function goesAt(goesIn: number | null): { goesAt?: number } {
  return goesIn === null ? {} : { goesAt: Date.now() + goesIn };
}

function withClient({ client }: { client?: string }): { client?: string } {
  return client === undefined ? {} : { client };
}
