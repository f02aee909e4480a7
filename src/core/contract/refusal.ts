/** What is answered where nothing was done, in a sentence for whoever asked. */
export interface Refusal {
  error: string;
  /** the field of a form that it is about */
  field?: string;
  /** nobody is signed in any more: what was typed stays, and can be sent after signing in */
  signedOut?: true;
  result?: undefined;
}

/** What is answered where there is nothing to say but that it was done. */
export type Done = { error?: undefined } | Refusal;
