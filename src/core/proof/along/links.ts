import { isAddress } from '../../addressing/addresses';
import { safeAddress } from '../../document/safeAddress';
import type { Check, ProofMark } from '../proofMark';

/** A link that cannot work stops the letter; one that shows an address and leads to another is a query. */
export const checkLinks: Check = ({ lines }) =>
  lines.flatMap(({ index, text, links }) =>
    links.flatMap(({ from, to, address }): ProofMark[] => {
      const words = text.slice(from, to).trim();
      const at = { line: index, from, to };
      const wrong = whyBroken(address);
      if (wrong)
        return [
          {
            kind: 'stop',
            id: `link ${address} ${index}`,
            message: `The link “${words || address}” cannot work: ${wrong}`,
            at,
          },
        ];
      const shown = hostShown(words);
      const leads = hostOf(address);
      if (!shown || !leads || isSameSite(shown, leads)) return [];
      return [
        {
          kind: 'query',
          id: `link elsewhere ${words} ${address}`,
          message: `The link shows “${words}” and leads to ${leads}.`,
          at,
        },
      ];
    }),
  );

/** Why an address leads nowhere, in words; undefined where it may. */
function whyBroken(address: string): string | undefined {
  const text = address.trim();
  if (!text) return 'it has no address.';
  if (!safeAddress(text)) return `“${text}” is no address of a page, an email or a telephone.`;
  if (/^mailto:/i.test(text)) {
    const to = decoded(text.slice(7).split('?')[0]!);
    return to !== undefined && to.split(',').every((one) => isAddress(one.trim()))
      ? undefined
      : `“${to ?? text}” is no email address.`;
  }
  if (/^tel:/i.test(text))
    return text.replace(/\D/g, '').length >= 3 ? undefined : `“${text.slice(4)}” is no telephone number.`;
  const host = hostOf(text);
  if (!host) return `“${text}” cannot be read as an address.`;
  return /^[^.]+(?:\.[^.]+)+$/.test(host) || host === 'localhost'
    ? undefined
    : `“${host}” is not the whole name of a site.`;
}

function decoded(text: string): string | undefined {
  try {
    return decodeURIComponent(text);
  } catch {
    return undefined;
  }
}

/** The site or the address that some words show, where they show one. */
function hostShown(words: string): string | undefined {
  if (/\s/.test(words)) return undefined;
  if (words.includes('@')) return isAddress(words) ? words.toLowerCase() : undefined;
  if (!/^(?:https?:\/\/)?[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)*\.\p{L}{2,}(?:[/?#:].*)?$/iu.test(words))
    return undefined;
  return hostOf(/^https?:/i.test(words) ? words : `https://${words}`);
}

function hostOf(address: string): string | undefined {
  if (/^mailto:/i.test(address)) return decoded(address.slice(7).split('?')[0]!)?.toLowerCase();
  if (!/^https?:/i.test(address)) return undefined;
  try {
    return new URL(address).hostname.toLowerCase();
  } catch {
    return undefined;
  }
}

/** Whether one of them is the other, or a part of it: “larkfield.example” and “www.larkfield.example”. */
function isSameSite(one: string, other: string): boolean {
  return one === other || one.endsWith(`.${other}`) || other.endsWith(`.${one}`);
}
