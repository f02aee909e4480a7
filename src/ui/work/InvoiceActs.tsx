'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { InvoiceChanging } from '../../core/contract/invoices';
import { actWord } from '../../core/template/acts';
import { askServer } from '../writing/askServer';

interface Props {
  invoice: string;
  version: number;
  status: 'draft' | 'sent' | 'void';
}

/** A draft is issued, an issued invoice made void: neither can be taken back, and the page says so before. */
export function InvoiceActs({ invoice, version, status }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  const [refreshing, refresh] = useTransition();
  const [asking, setAsking] = useState(false);

  async function press(to: 'sent' | 'void') {
    setAsking(true);
    setProblem(undefined);
    const path = `/api/invoices/${encodeURIComponent(invoice)}/status`;
    const answer = await askServer<InvoiceChanging>(path, { version, to }, 'PUT');
    setAsking(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing has been changed.');
    if (answer.body.error !== undefined) return setProblem(answer.body.error);
    refresh(() => {
      router.replace(to === 'sent' ? `?did=${actWord('invoice sent')}` : '?');
      router.refresh();
    });
  }

  const busy = asking || refreshing;
  return (
    <div className="record-acts">
      {status === 'draft' && (
        <>
          <button
            type="button"
            className="btn btn-outline-primary"
            disabled={busy}
            onClick={() => void press('sent')}
          >
            Issue it
          </button>
          <span className="field-help">It gets its number then, and its lines stay as they are.</span>
        </>
      )}
      <a href={`/api/invoices/${encodeURIComponent(invoice)}/pdf`} download>
        As a PDF
      </a>
      {status === 'sent' && (
        <details className="form-more">
          <summary>Make it void</summary>
          <p>It stays with its number, and nothing is owed on it any more. This cannot be taken back.</p>
          <button
            type="button"
            className="btn btn-outline-primary"
            disabled={busy}
            onClick={() => void press('void')}
          >
            It is void
          </button>
        </details>
      )}
      <p className="problem" role="alert">
        {problem}
      </p>
    </div>
  );
}
