import { eachPart } from '../document/eachPart';
import type { Template } from '../template/template';

/** What a template always says something of, whoever it is filled for. */
export interface Topics {
  /** days or sums overdue */
  overdue: boolean;
  /** a payment that has come */
  paid: boolean;
  /** the invoice as a paper that goes with it */
  encloses: boolean;
  /** a visit in words of nearness: tomorrow, in two days */
  soon: boolean;
  /** the time of a visit */
  visit: boolean;
  /** a day counted from a visit onwards: when the next one is due */
  after: boolean;
}

const known = new WeakMap<Template, Topics>();

/**
 * Reads from a template's own words which moment it is for. A template that counts the days overdue is no use
 * before an invoice is; one that says "tomorrow" is no use a month ahead. What stands inside an only-when does not
 * count: it is there for the other case, too.
 */
export function speaksOf(template: Template): Topics {
  let topics = known.get(template);
  if (!topics) known.set(template, (topics = read(template)));
  return topics;
}

function read({ head, document }: Template): Topics {
  const paths = new Set<string>();
  let [soon, after] = [false, false];
  for (const { part, always } of eachPart([...head.subject, ...document.content])) {
    if (!always || part.type !== 'field') continue;
    const { path, steps } = part.attrs;
    if (path === 'booking.starts_at' || path === 'booking.date') {
      soon ||= steps.some(({ step }) => step === 'from now');
      const onwards = steps.some((step) => step.step === 'plus' && !/hour|minute/.test(step.unit));
      after ||= onwards;
      if (onwards) continue;
    }
    paths.add(path);
  }
  const says = (...names: string[]) => names.some((name) => paths.has(name));
  return {
    overdue: says('invoice.days_overdue', 'invoice.is_overdue'),
    paid: says('invoice.last_paid_on', 'invoice.last_payment'),
    encloses: (head.attach ?? []).includes('invoice pdf'),
    soon: soon || says('booking.days_until'),
    visit: says('booking.starts_at', 'booking.date'),
    after,
  };
}
