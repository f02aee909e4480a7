'use client';

import type { KeyboardEvent, ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import { FormProvider } from 'react-hook-form';
import { Disputed } from './disputed';
import type { KeptForm } from './useKeptForm';

interface Props {
  kept: KeptForm;
  /** what its main key says */
  button?: string;
  /** what it says meanwhile */
  keeping?: string;
  /** it says the main key even where nothing was typed: there is something to go on to */
  always?: boolean;
  children: ReactNode;
  /** what can be done beside keeping */
  beside?: ReactNode;
}

/** A form on paper with what keeps it at its foot. Ctrl or Cmd and Enter keeps it from anywhere. */
export function KeptFormFrame({
  kept,
  button = 'Keep',
  keeping = 'Keeping …',
  always = false,
  children,
  beside,
}: Props) {
  const { form, keep, busy, changed, hasSecret, found, said, disputed, takeTheirs, throwAway } = kept;
  return (
    <Disputed value={{ disputed, takeTheirs }}>
      <FormProvider {...form}>
        <form
          className="kept-form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
          onKeyDown={(event: KeyboardEvent) => {
            if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
            event.preventDefault();
            keep();
          }}
        >
          {found && (
            <p className="needs-you" role="status">
              You wrote this here before and have not kept it.{' '}
              <button type="button" className="btn btn-link" onClick={throwAway}>
                Throw it away
              </button>
            </p>
          )}
          {children}
          <div className="letter-foot">
            <div className="foot-line">
              <Button type="submit" disabled={busy || !(changed || always)} title="Ctrl or Cmd and Enter">
                {busy ? keeping : button}
              </Button>
              {beside}
              <p
                className={`foot-words ${said?.trouble ? 'problem' : ''}`}
                role={said?.trouble ? 'alert' : 'status'}
              >
                {said?.words ??
                  (changed
                    ? `Not kept yet. ${hasSecret ? 'All but the password' : 'It'} stays on this device.`
                    : '')}
              </p>
            </div>
          </div>
        </form>
      </FormProvider>
    </Disputed>
  );
}
