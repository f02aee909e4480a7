'use client';

import { useWatch } from 'react-hook-form';
import type { KindOfAccount } from '../../../core/contract/records/mailAccount';
import { Choice, Field } from '../../forms/Field';

const WAYS = [
  ['password', 'with a name and a password'],
  ['provider', 'at the provider, who asks you there'],
] as const;

const WORDS = {
  sending: {
    ways: [...WAYS, ['none', 'nobody does']],
    allows: 'that letters are sent',
    scope: 'The scope for sending mail, as the provider calls it.',
  },
  mailbox: {
    ways: WAYS,
    allows: 'that mail is read',
    scope: 'The scope for reading mail (IMAP), as the provider calls it.',
  },
} as const;

const PASSWORD = 'It is kept sealed, and shown to nobody.';
const KEPT = `Empty: the one that is kept stays. ${PASSWORD}`;

/** Who signs in to a server, and how. @param isKept there is an account */
export function SigningIn({ kind, isKept }: { kind: KindOfAccount; isKept: boolean }) {
  const { ways, allows, scope } = WORDS[kind];
  const way = useWatch({ name: 'sign_in' }) as string;
  return (
    <section className="form-part" aria-labelledby="account-sign-in">
      <h2 id="account-sign-in">Signing in</h2>
      <Choice
        name="sign_in"
        label="How"
        options={ways}
        help={`Some providers give programs no password: then you sign in on their page, and allow ${allows}.`}
      />
      {way !== 'none' && (
        <Field
          name="user_name"
          label="Name"
          help="Mostly the whole email address."
          autoComplete="off"
          autoCapitalize="none"
          spellCheck={false}
        />
      )}
      {way === 'password' && (
        <Field
          name="secret"
          label="Password"
          type="password"
          autoComplete="new-password"
          help={isKept ? KEPT : `${PASSWORD} Some providers want one that is made for programs.`}
        />
      )}
      {way === 'provider' && (
        <>
          <Field
            name="issuer"
            label="Where the provider signs people in"
            type="url"
            placeholder="https://"
            help="Its address (issuer). The rest it says itself."
          />
          <Field
            name="client_id"
            label="As what it knows this application"
            help="The client ID that the provider gave when the application was made known to it."
            autoCapitalize="none"
            spellCheck={false}
          />
          <Field
            name="secret"
            label="Client secret"
            type="password"
            autoComplete="off"
            help={isKept ? KEPT : `Where the provider gave one. ${PASSWORD}`}
          />
          <Field
            name="scope"
            label="What is asked to be allowed"
            help={scope}
            autoCapitalize="none"
            spellCheck={false}
          />
        </>
      )}
    </section>
  );
}
