import type { Check } from '../proofMark';

/** An address from which the last letter came back takes the next one no better. */
export const checkBounced: Check = ({ letters, addressing: { to, copies } }) =>
  [...to, ...copies].flatMap(({ email, name }) => {
    const address = email.toLowerCase();
    const last = letters.findLast((letter) => letter.to?.some((one) => one.toLowerCase() === address));
    if (!last?.bounced) return [];
    return [
      {
        kind: 'query' as const,
        id: `bounced ${address} ${last.at}`,
        message: `The last letter to ${name || email} came back from ${email}. Ask for another address, or choose another person.`,
      },
    ];
  });
