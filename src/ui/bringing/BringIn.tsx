'use client';

import { useEffect, useRef, useState, type DragEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { BroughtKind, OwnWays } from '../../core/bringing/brought';
import { capital } from '../../core/describe/capital';
import { hasName, type TableKind } from '../../core/bringing/table/columns';
import type { BringingState, ListedBringing } from '../../core/contract/bringing';
import { BroughtFiles } from './BroughtFiles';
import { ColumnChoice } from './ColumnChoice';
import { giveFile } from './giveFile';
import { RowList } from './RowList';
import { kindWords, type KindWords } from './kindWords';
import { useBroughtFile } from './useBroughtFile';

interface Props {
  owner: string;
  own: OwnWays;
  /** what the business calls bookings */
  words: { booking: string; bookings: string };
  latest: readonly ListedBringing[];
}

/** Brings clients, visits, invoices and payments in from files: read on the device, looked through, mended, and given. */
export function BringIn({ owner, own, words, latest }: Props) {
  const brought = useBroughtFile(owner, own, words.booking);
  const [begun, setBegun] = useState<BringingState>();
  const [given, setGiven] = useState<{ rows: number; of: number }>();
  const [trouble, setTrouble] = useState<string>();
  const [isOver, setOver] = useState(false);
  const stop = useRef<AbortController>(undefined);
  const chooser = useRef<HTMLInputElement>(null);
  const { file } = brought;
  const called = kindWords(words);
  const counted = file ? count(brought, file.rows) : undefined;

  useEffect(() => () => stop.current?.abort(), []);

  async function bringIn() {
    if (!file) return;
    const { id, rows } = brought.coming();
    if (rows.length === 0) return;
    setTrouble(undefined);
    setGiven({ rows: 0, of: rows.length });
    stop.current = new AbortController();
    const heads = (file.columns ?? []).map(({ head }) => head.slice(0, 1_000));
    const told = await giveFile(
      { id, kind: file.kind, name: file.name, heads, columns: [...file.taken], rows },
      (there) => setGiven({ rows: there, of: rows.length }),
      stop.current.signal,
    );
    setGiven(undefined);
    if ('trouble' in told) return setTrouble(told.trouble);
    setBegun(told.state);
    brought.close();
  }

  function drop(event: DragEvent) {
    event.preventDefault();
    setOver(false);
    const [dropped] = event.dataTransfer.files;
    if (dropped) brought.open(dropped);
  }

  return (
    <div className="bring-in">
      {!file && (
        <section
          className={`form-part drop-place${isOver ? ' drop-over' : ''}`}
          aria-label="A file"
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
        >
          <p>
            A table saved as CSV (clients, invoices or payments), cards of clients as vCard, or a calendar as
            iCalendar, of at most 20 MB. You see what it reads as before anything comes in.
          </p>
          <input
            ref={chooser}
            type="file"
            hidden
            aria-label="A file to bring in"
            accept=".csv,.tsv,.txt,.vcf,.ics,text/csv,text/vcard,text/calendar"
            onChange={({ target }) => {
              const [chosen] = target.files ?? [];
              if (chosen) brought.open(chosen);
              target.value = '';
            }}
          />
          <Button variant="outline-primary" onClick={() => chooser.current?.click()}>
            Choose a file
          </Button>{' '}
          <span className="drop-words">or drop it here.</span>
        </section>
      )}
      {brought.trouble && (
        <p className="form-part problem" role="alert">
          {brought.trouble}
        </p>
      )}
      {file && (
        <>
          <section className="form-part" aria-label="What the file is">
            <h2>{file.name}</h2>
            {file.columns && file.kind !== 'booking' && (
              <>
                <div className="form-field">
                  <label htmlFor="table-kind" className="form-label">
                    A table of
                  </label>
                  <Form.Select
                    id="table-kind"
                    value={file.kind}
                    onChange={({ target }) => brought.readAs(target.value as TableKind)}
                  >
                    {(['client', 'invoice', 'payment'] as const).map((one) => (
                      <option key={one} value={one}>
                        {called[one].many}
                      </option>
                    ))}
                  </Form.Select>
                </div>
                <details className="form-more" open={needsColumns(file.kind, file.taken)}>
                  <summary>
                    {file.taken.filter(Boolean).length} of {file.columns.length} columns are brought in
                  </summary>
                  <ColumnChoice
                    kind={file.kind}
                    columns={file.columns}
                    taken={file.taken}
                    choices={file.choices}
                    fields={own.fields}
                    onTaken={(taken) => brought.readAs(file.kind as TableKind, taken)}
                  />
                </details>
              </>
            )}
            {file.problems.map(({ line, message }) => (
              <p key={`${line} ${message}`} className="problem">
                Line {line}: {message}
              </p>
            ))}
            <p role="status">{brought.busy ?? inWords(counted!, called[file.kind])}</p>
            {brought.unlooked && (
              <p className="problem" role="alert">
                What is there already could not be looked for.{' '}
                <button type="button" className="btn btn-link" onClick={brought.lookAgain}>
                  Look again
                </button>
              </p>
            )}
          </section>
          <section className="form-part" aria-label="What it says">
            <RowList file={file} brought={brought} fields={own.fields} />
          </section>
          <div className="letter-foot">
            <div className="foot-line">
              <Button
                disabled={
                  given !== undefined ||
                  brought.busy !== undefined ||
                  !brought.isLooked ||
                  counted!.comes === 0
                }
                onClick={() => void bringIn()}
              >
                {counted!.comes === 0
                  ? 'Nothing comes in'
                  : `Bring ${amount(counted!.comes, called[file.kind])} in`}
              </Button>
              <button
                type="button"
                className="btn btn-link"
                onClick={() => (given ? stop.current?.abort() : brought.close())}
              >
                {given ? 'Stop' : 'Another file'}
              </button>
              <p className={`foot-words${trouble ? ' problem' : ''}`} role={trouble ? 'alert' : 'status'}>
                {trouble ?? (given && `${given.rows} of ${given.of} are given …`)}
              </p>
            </div>
          </div>
        </>
      )}
      {!file && brought.busy && (
        <p className="form-part" role="status">
          {brought.busy}
        </p>
      )}
      {!file && <BroughtFiles latest={latest} begun={begun} called={called} />}
    </div>
  );
}

type Counted = Record<'comes' | 'there' | 'unclear' | 'left out', number>;

function count(
  { stateOf }: ReturnType<typeof useBroughtFile>,
  rows: readonly Parameters<typeof stateOf>[0][],
): Counted {
  const counted: Counted = { comes: 0, there: 0, unclear: 0, 'left out': 0 };
  for (const row of rows) counted[stateOf(row).state]++;
  return counted;
}

function amount(many: number, { one, many: several }: KindWords): string {
  return many === 1 ? `one ${one}` : `${many} ${several}`;
}

function inWords({ comes, there, unclear, 'left out': out }: Counted, called: KindWords): string {
  const are = (n: number) => (n === 1 ? 'is' : 'are');
  return [
    `${capital(amount(comes, called))} ${comes === 1 ? 'comes' : 'come'} in`,
    there > 0 && `${there} ${are(there)} there already`,
    unclear > 0 && `${unclear} ${unclear === 1 ? 'stays' : 'stay'} out until something is said`,
    out > 0 && `${out} ${are(out)} left out`,
  ]
    .filter(Boolean)
    .join(', ')
    .concat('.');
}

/** Whether what cannot be missing is headed by no column. */
function needsColumns(kind: BroughtKind, taken: readonly (string | null)[]): boolean {
  const has = (name: string) => taken.includes(name);
  if (kind === 'client') return !hasName(taken);
  return kind === 'invoice' ? !(has('number') && has('issued_on')) : !(has('number') && has('amount'));
}
