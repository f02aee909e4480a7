'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, useTransition, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { ValidationError } from 'yup';
import {
  PAYMENT,
  type Payable,
  type PaymentAnswer,
  type PaymentRequest,
  type PaymentToUndo,
} from '../../core/contract/payments';
import type { Done } from '../../core/contract/refusal';
import { actWord } from '../../core/template/acts';
import { decimalString, minorDigits, readAmount } from '../../core/money/currency';
import { askServer } from '../writing/askServer';

interface Props {
  invoice: string;
  /** absent when nothing is open */
  payable?: Payable;
}

type Payment = Omit<PaymentRequest, 'version' | 'more'>;

const OFFLINE = 'There is no connection. Nothing has been written down.';

/** Writes down that an invoice was paid, all of it or a part; what was written down can be undone. */
export function PaymentForm({ invoice, payable }: Props) {
  const [problem, setProblem] = useState<string>();
  /** a payment that is over what is open: asked about before it is written down */
  const [doubtful, setDoubtful] = useState<Payment>();
  const [recorded, setRecorded] = useState<{ words: string; undo: PaymentToUndo }>();
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState(false);
  /** until the page shows what was written down, nothing is typed into what it showed before */
  const [refreshing, refresh] = useTransition();
  const busy = asking || refreshing;
  const problemId = useId();
  const router = useRouter();
  const path = `/api/invoices/${encodeURIComponent(invoice)}/payments`;

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const amount = readAmount(String(data.get('amount')).trim(), payable!.currency);
    const typed = {
      version: payable!.version,
      amount,
      paid_on: data.get('paid_on'),
      method: data.get('method'),
    };
    PAYMENT.validate(typed).then(
      (payment) => void record(payment),
      (error: ValidationError) => setProblem(error.message),
    );
  }

  async function record(payment: Payment, more = false) {
    setAsking(true);
    setProblem(undefined);
    setDoubtful(undefined);
    const answer = await askServer<PaymentAnswer>(path, { ...payment, version: payable!.version, more });
    setAsking(false);
    if ('offline' in answer) return setProblem(OFFLINE);
    const { body } = answer;
    if (body.result === 'more') return setDoubtful(payment);
    if (body.result !== 'recorded') return setProblem(body.error);
    const { currency } = payable!;
    setRecorded({
      words: `${decimalString(payment.amount, minorDigits(currency))} ${currency} written down.`,
      undo: body.invoice,
    });
    setOpen(false);
    refresh(() => {
      router.replace(`?did=${actWord('payment received')}`);
      router.refresh();
    });
  }

  async function undo() {
    setAsking(true);
    const answer = await askServer<Done>(path, recorded!.undo, 'DELETE');
    setAsking(false);
    if ('offline' in answer) return setProblem('There is no connection. The payment stands as written down.');
    if (answer.body.error) return setProblem(answer.body.error);
    setRecorded(undefined);
    setOpen(true);
    refresh(() => {
      router.replace('?');
      router.refresh();
    });
  }

  return (
    <>
      {recorded && (
        <p role="status" className="in-order">
          {recorded.words}{' '}
          <button type="button" className="btn btn-link" disabled={busy} onClick={() => void undo()}>
            Undo
          </button>
        </p>
      )}
      {payable && (
        <details className="payment" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
          <summary>Record a payment</summary>
          <Form onSubmit={submit} noValidate key={payable.version}>
            <Form.Group controlId="amount">
              <Form.Label>Amount</Form.Label>
              <Form.Control
                name="amount"
                disabled={busy}
                inputMode="decimal"
                defaultValue={payable.open}
                isInvalid={problem !== undefined || doubtful !== undefined}
                aria-describedby={problemId}
              />
            </Form.Group>
            <Form.Group controlId="paid_on">
              <Form.Label>Paid on</Form.Label>
              <Form.Control disabled={busy} name="paid_on" type="date" defaultValue={payable.today} />
            </Form.Group>
            <Form.Group controlId="method">
              <Form.Label>How</Form.Label>
              <Form.Control disabled={busy} name="method" defaultValue="bank transfer" />
            </Form.Group>
            <Button type="submit" disabled={busy}>
              Record
            </Button>
          </Form>
        </details>
      )}
      <p id={problemId} className="problem" role="alert">
        {problem}
        {doubtful && payable && (
          <>
            That is more than the {payable.open} {payable.currency} that is open.{' '}
            <button type="button" className="btn btn-link" onClick={() => void record(doubtful, true)}>
              Record it all the same
            </button>
          </>
        )}
      </p>
    </>
  );
}
