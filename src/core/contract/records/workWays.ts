import { array, object, string, type InferType, type TestContext } from 'yup';
import { VERSION } from '../numbers';
import { decimal, line, shownSum, sum, whole } from './parts';

/** A row's id, of any version (RFC 9562). */
const rowId = () =>
  string()
    .matches(/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/)
    .required();

/** “8”, “8.30”, “8:30 pm”, as people write a time of the day */
const TYPED = /^(\d{1,2})(?:[:.](\d\d))?\s*(?:([ap])\.?m\.?)?$/i;

const CLOCK = /^(?:[01]\d|2[0-3]):[0-5]\d$/;

/** A time of the day, as “08:00”. */
const clock = () =>
  string()
    .transform((typed: string) => {
      const [, hours, minutes = '00', half] = TYPED.exec(typed.trim()) ?? [];
      if (hours === undefined) return typed;
      const late = half === undefined ? 0 : (half.toLowerCase() === 'p' ? 12 : 0) - (hours === '12' ? 12 : 0);
      return `${String(Number(hours) + late).padStart(2, '0')}:${minutes}`;
    })
    .required('Write a time, as 08:00.')
    .matches(CLOCK, 'Write a time, as 08:00.');

const service = (currency: string) =>
  object({
    id: rowId(),
    name: line().required('Write what it is called.'),
    minutes: whole(1, 366 * 1440),
    price: sum(currency).test(
      'price',
      'A price is not below nothing.',
      (price) => price === undefined || price >= 0,
    ),
  }).noUnknown();

const PLAN = object({
  id: rowId(),
  name: line().required('Write what it is called.'),
  parts: array(
    object({
      share: whole(1, 100).required('Write how many of the hundred.'),
      days: whole(0, 3650).required('Write after how many days.'),
    }).noUnknown(),
  )
    .required()
    .min(1, 'A plan has at least one part.')
    .max(60, 'At most 60 parts.'),
})
  .noUnknown()
  .test('whole', '', ({ parts }, { createError, path }) => {
    const shares = (parts ?? []).reduce((all, { share }) => all + (share ?? 0), 0);
    return (
      shares === 100 ||
      createError({ path: `${path}.parts`, message: `The parts come to ${shares} of the hundred.` })
    );
  });

/** How work is done, with the version that was seen: given to `/api/business/work`. Sums are minor units. */
export function workWaysFacts(currency: string) {
  return object({
    version: VERSION,
    travel_minutes: whole(0, 480).required('Write how many minutes, as 0.'),
    day_from: clock(),
    day_until: clock().test('after', 'The day ends after it begins.', (until, { parent }) => {
      const { day_from } = parent as { day_from: string };
      return !CLOCK.test(day_from) || until > day_from;
    }),
    invoice_prefix: string().trim().max(30, 'That is longer than 30 characters.').defined(),
    invoice_next: whole(1, 2_000_000_000).required('Write the number of the next invoice.'),
    invoice_digits: whole(1, 9).required('Write how many figures, as 4.'),
    days_to_pay: whole(0, 365).required('Write how many days.'),
    tax_rate: decimal(0, 100).required('Write how many percent, as 0.'),
    services: array(service(currency))
      .required()
      .max(500, 'At most 500 services.')
      .test('names', '', (all, context) => differ(all ?? [], context)),
    plans: array(PLAN)
      .required()
      .max(100, 'At most 100 plans.')
      .test('names', '', (all, context) => differ(all ?? [], context)),
  }).noUnknown();
}
export type WorkWays = InferType<ReturnType<typeof workWaysFacts>>;
export type ServiceFacts = WorkWays['services'][number];
export type PlanFacts = WorkWays['plans'][number];

/** No two are called the same. */
function differ(all: readonly { name?: string | undefined }[], { createError, path }: TestContext) {
  const seen = new Set<string>();
  for (const [at, { name = '' }] of all.entries()) {
    if (seen.has(name.toLowerCase()))
      return createError({ path: `${path}.${at}.name`, message: 'Another is called that.' });
    seen.add(name.toLowerCase());
  }
  return true;
}

/** A service as a form's controls show it. */
export function shownService({ id, name = '', minutes, price }: Partial<ServiceFacts>, currency: string) {
  return {
    id,
    name,
    minutes: minutes === undefined ? '' : String(minutes),
    price: shownSum(price, currency),
  };
}

/** As a form's controls show them. */
export function shownWorkWays({ version: _, services, ...ways }: WorkWays, currency: string) {
  return { ...ways, services: services.map((one) => shownService(one, currency)) };
}

/** "LPC-0042" */
export function invoiceNumber(prefix: string, number: number, digits: number): string {
  return prefix + String(number).padStart(digits, '0');
}
