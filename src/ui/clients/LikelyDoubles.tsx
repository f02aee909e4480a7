'use client';

import Link from 'next/link';
import { useFormContext, useWatch } from 'react-hook-form';
import type { ListPage } from '../../core/contract/list';
import { isAddress } from '../../core/addressing/addresses';
import { useAnswerTo } from '../shell/useAnswerTo';

const CLIENTS = '/api/lists/client';
/** So many are pointed out. */
const MOST = 4;

/** Clients that are there already with the name, the address or the number that is being written. */
export function LikelyDoubles({ clientKey }: { clientKey: string | undefined }) {
  const { control } = useFormContext();
  const [name, email, phone, mobile] = useWatch({
    control,
    name: ['name', 'email', 'phone', 'mobile'],
  }) as string[];
  const others = useWatch({ control, name: 'more_phones' }) as { number: string }[] | undefined;
  // The one that was added last is the one that is being written.
  const another = others?.at(-1)?.number;
  const answers = [
    useAnswerTo<ListPage>(CLIENTS, isLong(name) ? name!.trim() : ''),
    useAnswerTo<ListPage>(CLIENTS, isAddress(email?.trim() ?? '') ? email!.trim() : ''),
    useAnswerTo<ListPage>(CLIENTS, isNumber(phone) ? phone!.trim() : ''),
    useAnswerTo<ListPage>(CLIENTS, isNumber(mobile) ? mobile!.trim() : ''),
    useAnswerTo<ListPage>(CLIENTS, isNumber(another) ? another!.trim() : ''),
  ];
  const found = new Map(
    answers
      .flatMap(({ body }) => body?.entries ?? [])
      .filter(({ key }) => key !== clientKey)
      .map((entry) => [entry.key, entry]),
  );
  return (
    <div role="status">
      {found.size > 0 && (
        <div className="needs-you doubles">
          <p>Perhaps {found.size === 1 ? 'this is' : 'one of these is'} the same:</p>
          <ul>
            {[...found.values()].slice(0, MOST).map((entry) => (
              <li key={entry.key}>
                <Link href={`/clients/${encodeURIComponent(entry.key)}`} prefetch={false}>
                  {entry.name}
                </Link>
                <span className="entry-note">{entry.note}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

function isLong(name: string | undefined): boolean {
  return (name?.trim().length ?? 0) >= 4;
}

function isNumber(phone: string | undefined): boolean {
  return (phone?.replace(/\D/g, '').length ?? 0) >= 6;
}
