/** The forms that a language's words take beside numbers. */
export interface PluralForms {
  /** what they are for, in CLDR's order: English has "one" and "other" */
  names: readonly string[];
  /** which of them a number takes, counted from 0 */
  of: (count: number) => number;
}

const CLDR_ORDER = ['zero', 'one', 'two', 'few', 'many', 'other'] as const;

const made = new Map<string, PluralForms>();

/** The forms of a language by its BCP 47 tag, from the platform's CLDR data (Intl.PluralRules). */
export function pluralForms(locale: string): PluralForms {
  let forms = made.get(locale);
  if (!forms) {
    const rules = new Intl.PluralRules(locale);
    const has = new Set<string>(rules.resolvedOptions().pluralCategories);
    const names = CLDR_ORDER.filter((name) => has.has(name));
    made.set(locale, (forms = { names, of: (count) => names.indexOf(rules.select(count)) }));
  }
  return forms;
}
