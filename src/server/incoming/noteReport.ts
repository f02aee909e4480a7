import { refusalInWords } from '../../core/incoming/refusalInWords';
import type { ReportedDelivery } from '../../core/incoming/reportedDelivery';
import { letterToAddress, type KnownMessage } from '../../data/repositories/incoming/messageOfSigns';
import { noteDelivery } from '../../data/repositories/incoming/noteDelivery';
import { connection } from '../connection';

/**
 * Writes down what a delivery report says, with the letters that it is about: the one that its signs lead to, else by each address the
 * newest that went there.
 * @returns their ids
 */
export async function noteReport(
  business_id: string,
  deliveries: readonly ReportedDelivery[],
  about: KnownMessage | undefined,
  at: Date,
): Promise<string[]> {
  const database = connection();
  const noted = new Set<string>();
  for (const delivery of deliveries) {
    const { address, state } = delivery;
    const letter = about ?? (address && (await letterToAddress(database, business_id, address, at)));
    if (!letter || letter.direction === 'in') continue;
    const which = { business_id, id: letter.id };
    if (await noteDelivery(database, which, state, at, inWords(delivery))) noted.add(letter.id);
  }
  return [...noted];
}

/** “oda@hartigan.example: There is no such address. The server said: 550 5.1.1 …” */
function inWords({ address, state, status, words }: ReportedDelivery): string {
  const whose = address ? `${address}: ` : '';
  if (state === 'delivered') return `${whose}It has arrived.`;
  const said = words && `The server said: ${words}`;
  const waits = state === 'delayed' ? 'It is still tried.' : '';
  return `${whose}${[refusalInWords({ status, words }), waits, said].filter(Boolean).join(' ')}`;
}
