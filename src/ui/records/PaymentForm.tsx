'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { readAmount } from '../../core/money/currency';
import { askServer } from '../writing/askServer';

interface Props {
  invoice: string;
  version: number;
  currency: string;
  /** what is still open, as it is typed: "96.00" */
  open: string;
  /** ISO */
  today: string;
}

/** Writes down that an invoice was paid, all of it or a part. */
export function PaymentForm({ invoice, version, currency, open, today }: Props) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const problemId = useId();
  const router = useRouter();

  async function record(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const amount = readAmount(String(data.get('amount')).trim(), currency);
    if (!amount || amount < 0) return setProblem('Write what was paid, as 96 or 96.00.');
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<{ error?: string }>(
      `/api/invoices/${encodeURIComponent(invoice)}/payments`,
      {
        version,
        amount,
        paid_on: String(data.get('paid_on')),
        method: String(data.get('method')),
      },
    );
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing has been written down.');
    if (answer.body.error) return setProblem(answer.body.error);
    router.refresh();
  }

  return (
    <details className="payment">
      <summary>Record a payment</summary>
      <Form onSubmit={(event) => void record(event)} noValidate>
        <Form.Group controlId="amount">
          <Form.Label>Amount</Form.Label>
          <Form.Control
            name="amount"
            inputMode="decimal"
            defaultValue={open}
            isInvalid={problem !== undefined}
            aria-describedby={problemId}
          />
        </Form.Group>
        <Form.Group controlId="paid_on">
          <Form.Label>Paid on</Form.Label>
          <Form.Control name="paid_on" type="date" defaultValue={today} />
        </Form.Group>
        <Form.Group controlId="method">
          <Form.Label>How</Form.Label>
          <Form.Control name="method" defaultValue="bank transfer" />
        </Form.Group>
        <Button type="submit" disabled={busy}>
          Record
        </Button>
        <p id={problemId} className="problem" role="alert">
          {problem}
        </p>
      </Form>
    </details>
  );
}
