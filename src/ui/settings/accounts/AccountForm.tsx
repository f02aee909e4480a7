'use client';

import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { KeptFormFrame } from '../../forms/KeptFormFrame';
import { useKeptForm } from '../../forms/useKeptForm';
import { accountPath, accountPlace, type Which } from './accountPlace';
import { RemoveAccount } from './RemoveAccount';
import { ServerPart } from './ServerPart';
import { SigningIn } from './SigningIn';

interface Props<Facts> extends Which {
  /** whose what is typed is, on this device */
  owner: string;
  schema: object;
  facts: Facts;
  shown: (facts: Facts) => FieldValues;
  /** what accounts of its kind have of their own */
  children: ReactNode;
}

/** A server of mail and who signs in there: tried before it is kept. */
export function AccountForm<Facts extends { version: number }>({
  owner,
  schema,
  facts,
  shown,
  children,
  ...which
}: Props<Facts>) {
  const router = useRouter();
  const kept = useKeptForm<Facts>({
    place: accountPlace(owner, which),
    schema: schema as never,
    facts,
    shown,
    path: accountPath(which),
    secret: 'secret',
    onKept: () => router.refresh(),
  });
  const isKept = facts.version > 0;
  return (
    <KeptFormFrame
      kept={kept}
      button="Try and keep"
      keeping="Talking to the server …"
      beside={isKept && <RemoveAccount {...which} />}
    >
      <ServerPart {...which} />
      <SigningIn kind={which.kind} isKept={isKept} />
      {children}
    </KeptFormFrame>
  );
}
