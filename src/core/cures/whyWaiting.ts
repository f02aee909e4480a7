import { saidByServer } from './cures';

/** What keeps letters from going though their time has come. */
export interface SendingState {
  /** whether anything sends at all */
  sends: boolean;
  /** what the mail server says to letters of everybody, or of one sender */
  trouble?: { sender: string; words: string; ofAccount?: boolean };
}

/** Why a letter waits, in a sentence; undefined: it goes when its time comes. */
export function whyWaiting({ sends, trouble }: SendingState): string | undefined {
  if (!sends) return 'Nothing is sending at the moment. Letters go when the application’s worker runs again.';
  if (!trouble) return undefined;
  const { sender, words, ofAccount } = trouble;
  const server = ofAccount ? 'The mail server of the sending account' : 'The mail server';
  // Anything else is what kept us from it.
  if (!saidByServer(words)) return `${server} cannot be reached and is asked again: ${words}`;
  return `${server} takes no letters${sender && ` from ${sender}`} and is asked again. It said: ${words}`;
}
