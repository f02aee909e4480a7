import { expect, it } from 'vitest';
import { whyWaiting } from './whyWaiting';

it.each([
  [{ sends: true }, undefined],
  [{ sends: false }, /^Nothing is sending at the moment\./],
  [
    { sends: true, trouble: { sender: '', words: 'connect ECONNREFUSED 127.0.0.1:25' } },
    /^The mail server cannot be reached and is asked again: connect/,
  ],
  [
    { sends: true, trouble: { sender: '', words: '535 5.7.8 Wrong password' } },
    /^The mail server takes no letters and is asked again\. It said: 535/,
  ],
  [
    { sends: true, trouble: { sender: 'runa@larkfield.example', words: '550 Not yours' } },
    /^The mail server takes no letters from runa@larkfield\.example and is asked again\. It said: 550/,
  ],
])('%j', (state, words) => {
  if (words) expect(whyWaiting(state)).toMatch(words);
  else expect(whyWaiting(state)).toBeUndefined();
});
