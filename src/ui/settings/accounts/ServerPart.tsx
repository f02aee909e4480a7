import { Choice, Field } from '../../forms/Field';
import type { Which } from './accountPlace';
import { GuessAccount } from './GuessAccount';

const WORDS = {
  sending: {
    label: 'Server for mail that goes out (SMTP)',
    example: 'smtp.house.example',
    tls: 465,
    starttls: 587,
  },
  mailbox: {
    label: 'Server for mail that comes in (IMAP)',
    example: 'imap.house.example',
    tls: 993,
    starttls: 143,
  },
} as const;

/** Which server an account is of, and how it is talked to. */
export function ServerPart(which: Which) {
  const { label, example, tls, starttls } = WORDS[which.kind];
  return (
    <section className="form-part" aria-labelledby="account-server">
      <h2 id="account-server">The server</h2>
      <GuessAccount {...which} />
      <Field
        name="host"
        label={label}
        help={`As ${example}; your provider says which.`}
        autoCapitalize="none"
        autoCorrect="off"
        spellCheck={false}
      />
      <Field name="port" label="Port" inputMode="numeric" />
      <Choice
        name="security"
        label="Protection on the way"
        options={[
          ['tls', `TLS from the start (mostly port ${tls})`],
          ['starttls', `TLS after the greeting (mostly port ${starttls})`],
          ['none', 'none: a server on this very machine'],
        ]}
      />
    </section>
  );
}
