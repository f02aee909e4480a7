import Link from 'next/link';
import { StepFoot } from './StepFoot';

interface Props {
  /** where letters leave where no account is kept; absent where no server is named */
  server?: { host: string; mailbox?: string } | undefined;
  /** the server of the business’s own account */
  account?: string | undefined;
}

/** Where letters leave from here. */
export function SendingStep({ server, account }: Props) {
  return (
    <>
      <section className="form-part" aria-label="The sending server">
        {account !== undefined ? (
          <p>
            Letters leave by <b>{account}</b>.{' '}
            <Link href="/settings/sending" prefetch={false}>
              The sending account
            </Link>
          </p>
        ) : server?.mailbox ? (
          <>
            <p>
              For trying out: letters go to a mailbox on this very machine, and to nobody. What it got is read
              at <a href={server.mailbox}>{server.mailbox}</a>.
            </p>
            <p className="field-help">
              To send for good, say which server takes your mail:{' '}
              <Link href="/settings/sending" prefetch={false}>
                the sending account
              </Link>
              . It can be done at any time.
            </p>
          </>
        ) : server ? (
          <p>
            Letters are handed to <b>{server.host}</b>, as it was settled when the application was started.
          </p>
        ) : (
          <p className="needs-you">
            No mail server is named: letters wait here until one is.{' '}
            <Link href="/settings/sending" prefetch={false}>
              The sending account
            </Link>
          </p>
        )}
      </section>
      <StepFoot step="sending" button="That is right" />
    </>
  );
}
