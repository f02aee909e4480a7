'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { FieldValues } from 'react-hook-form';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { RECORD_FORMS, type FactsOf } from '../../core/contract/records/recordForms';
import type { FormKind } from '../../core/contract/records/formKinds';
import { actWord, type Act } from '../../core/template/acts';
import { recordPath } from '../records/recordPath';
import { useKeptForm, type KeptForm } from './useKeptForm';

/** What a form of a record is given. */
export interface RecordFormProps<Kind extends FormKind> {
  /** whose what is typed is, on this device */
  owner: string;
  /** absent: a new one */
  recordKey?: string | undefined;
  facts: FactsOf[Kind];
  /** the key of the enquiry that leads to a new one */
  enquiry?: string | undefined;
}

interface Options<Kind extends FormKind> extends RecordFormProps<Kind> {
  kind: Kind;
  own: OwnFields;
  shown: (facts: FactsOf[Kind], own: OwnFields) => FieldValues;
  /** what a new one is begun from: another beginning is another new one */
  begunFrom?: string;
  /** the act of the work that keeping it was: its letter is offered next */
  act?: (kept: FactsOf[Kind]) => Act | undefined;
}

/** The form of a record: kept, it leads to the record's page. */
export function useRecordForm<Kind extends FormKind>({
  kind,
  owner,
  recordKey,
  facts,
  enquiry,
  own,
  shown,
  begunFrom = '',
  act,
}: Options<Kind>): KeptForm {
  const router = useRouter();
  const isNew = recordKey === undefined;
  return useKeptForm<FactsOf[Kind]>({
    place: `${owner} ${kind} ${recordKey ?? `new ${begunFrom}`}`,
    schema: useMemo(() => RECORD_FORMS[kind](own), [kind, own]) as never,
    facts,
    shown: (known) => shown(known, own),
    path: `/api/records/${kind}${isNew ? '' : `/${encodeURIComponent(recordKey)}`}`,
    method: isNew ? 'POST' : 'PUT',
    ...(enquiry === undefined ? {} : { along: { enquiry } }),
    onKept: (kept, key = recordKey) => {
      // Whoever asked and is a client now is answered next.
      const then =
        kind === 'client' && enquiry ? ({ kind: 'enquiry', key: enquiry } as const) : { kind, key: key! };
      const did = act?.(kept);
      router.push(`${recordPath(then)}${did ? `?did=${actWord(did)}` : ''}`);
      router.refresh();
    },
  });
}
