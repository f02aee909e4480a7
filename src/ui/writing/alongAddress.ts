import { ownFileAddress } from '../document/ownFileAddress';
import type { Along } from '../../core/writing/goesAlong';

/** Where something that goes along is looked at; undefined where it cannot be made. */
export function alongAddress({ name, lacks, paper, added }: Along): string | undefined {
  if (lacks !== undefined) return undefined;
  if (paper?.of !== undefined) {
    const key = encodeURIComponent(paper.of);
    return paper.kind === 'invoice pdf' ? `/api/invoices/${key}/pdf` : `/api/bookings/${key}/calendar-entry`;
  }
  if (added?.from === 'record') return `/api/record-files/${added.id}`;
  return added?.from === 'letter' ? `/api/along/${added.id}` : ownFileAddress(name);
}
