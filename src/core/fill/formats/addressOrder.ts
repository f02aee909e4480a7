import { addressLines } from './address';

export type AddressPart = 'street' | 'town' | 'region' | 'postcode' | 'country';

const MARKS = { street: ['1street'], town: '2town', region: '3region', postcode: '4postcode' } as const;

/** The parts of an address in the order in which a business's country writes them; the country last. */
export function addressOrder(locale: string): AddressPart[] {
  const written = addressLines({ ...MARKS, street: [...MARKS.street] }, locale)
    .join('\n')
    .toLowerCase();
  const at = (mark: string) => {
    const found = written.indexOf(mark);
    return found < 0 ? Infinity : found;
  };
  const parts = (['street', 'town', 'region', 'postcode'] as const).toSorted(
    (a, b) => at(String(MARKS[a])) - at(String(MARKS[b])),
  );
  return [...parts, 'country'];
}
