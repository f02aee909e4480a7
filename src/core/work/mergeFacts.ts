import type { ClientFacts } from '../contract/records/client';

/** The facts of a client that two records of the same one may say otherwise. */
export const MERGED_FACTS = [
  ...(['kind', 'name', 'given_name', 'family_name', 'preferred_name', 'honorific'] as const),
  ...([
    'email',
    'phone',
    'mobile',
    'address',
    'billing_address',
    'language',
    'since',
    'source',
    'responsible',
    'no_letters_since',
  ] as const),
];
export type MergedFact = (typeof MERGED_FACTS)[number];

/** Facts that belong together: whoever takes the name takes its parts. */
const WITH_NAME: ReadonlySet<MergedFact> = new Set([
  'given_name',
  'family_name',
  'preferred_name',
  'honorific',
]);

/** The facts that both say, each otherwise. */
export function differingFacts(kept: ClientFacts, gone: ClientFacts): MergedFact[] {
  return MERGED_FACTS.filter(
    (fact) =>
      !WITH_NAME.has(fact) &&
      kept[fact] !== undefined &&
      gone[fact] !== undefined &&
      JSON.stringify(kept[fact]) !== JSON.stringify(gone[fact]),
  );
}

/**
 * What one client is known by after another record of the same one went into it: what only one says is kept, of what both say
 * the chosen one; tags come together, notes one under the other. Their people and things are not looked at.
 * @param take the facts that are taken from the one that goes, though the other says them, too
 */
export function mergeFacts(kept: ClientFacts, gone: ClientFacts, take: readonly string[]): ClientFacts {
  const merged: Record<string, unknown> = { ...kept };
  const name = take.includes('name') ? gone : kept;
  for (const fact of MERGED_FACTS) {
    const said = WITH_NAME.has(fact)
      ? name[fact]
      : take.includes(fact)
        ? (gone[fact] ?? kept[fact])
        : (kept[fact] ?? gone[fact]);
    if (said === undefined) delete merged[fact];
    else merged[fact] = said;
  }
  const notes = [...new Set([kept.notes, gone.notes].filter((one) => one !== undefined))].join('\n\n');
  return {
    ...(merged as unknown as ClientFacts),
    tags: [...new Set([...kept.tags, ...gone.tags])],
    more_phones: together(kept.more_phones, gone.more_phones),
    more_addresses: together(kept.more_addresses, gone.more_addresses),
    ...(notes ? { notes } : {}),
    ...(kept.custom || gone.custom ? { custom: { ...gone.custom, ...kept.custom } } : {}),
  };
}

/** What either has, each once. */
function together<One>(kept: readonly One[] = [], gone: readonly One[] = []): One[] {
  const said = new Set(kept.map((one) => JSON.stringify(one)));
  return [...kept, ...gone.filter((one) => !said.has(JSON.stringify(one)))];
}
