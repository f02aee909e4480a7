import type { Recipient } from './chooseRecipient';
import type { Situation } from './situation';
import { splitReference } from './splitReference';

/** Somebody whom a letter can go to, by a reference as `contact:hale`; undefined where there is none. */
export function recipientOf(reference: string, { client, book }: Situation): Recipient | undefined {
  const [kind, key] = splitReference(reference);
  const from = client?.record;
  switch (kind) {
    case 'contact': {
      const data = from?.contacts?.find((contact) => contact.key === key);
      return data && { kind, data };
    }
    case 'client':
      return from?.key === key ? { kind, data: from } : undefined;
    case 'partner': {
      const data = book.partners.get(key);
      return data && { kind, data };
    }
    case 'member': {
      const data = book.members.get(key);
      return data && { kind, data };
    }
    default:
      return undefined;
  }
}

/** Somebody whom a letter can go to, as choices name them: `contact:hale`. */
export function referenceOf({ kind, data }: Recipient): string {
  return `${kind}:${data.key}`;
}
