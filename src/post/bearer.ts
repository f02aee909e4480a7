import type SMTPConnection from 'nodemailer/lib/smtp-connection';

/** Whose mail it is, and what it is sent with. */
export interface Bearer {
  user: string;
  /** @param anew the one before was not taken */
  token: (anew: boolean) => Promise<string>;
}

/** The name by which the library is asked for this way to sign in. */
export const BEARER = 'BEARER';

type Commands = NonNullable<SMTPConnection.Options['customAuth']>;

/**
 * Signs in by a token that a provider gave: OAUTHBEARER (RFC 7628), else XOAUTH2, whichever a server offers.
 * @param offers what it says that it knows, line by line: the library tells of passwords alone
 */
export function signingInBy(
  { user, token }: Bearer,
  { host, port }: { host: string; port: number },
  offers: () => readonly string[],
): Commands {
  return {
    [BEARER]: async ({ sendCommand }) => {
      const isStandard = offers().some((line) => /^AUTH[ =]/i.test(line) && /\bOAUTHBEARER\b/i.test(line));
      for (const anew of [false, true]) {
        const given = await token(anew);
        const words = isStandard
          ? `n,a=${saslName(user)},\x01host=${host}\x01port=${port}\x01auth=Bearer ${given}\x01\x01`
          : `user=${user}\x01auth=Bearer ${given}\x01\x01`;
        const mechanism = isStandard ? 'OAUTHBEARER' : 'XOAUTH2';
        let answer = await sendCommand(`AUTH ${mechanism} ${Buffer.from(words).toString('base64')}`);
        // It says why, and waits to be told that this was heard.
        if (answer.status === 334) answer = await sendCommand(isStandard ? 'AQ==' : '');
        if (answer.status < 300) return;
        if (anew || answer.status !== 535) throw new Error(answer.text);
      }
    },
  };
}

/** RFC 5801, 4: “,” and “=” stand for themselves elsewhere. */
function saslName(user: string): string {
  return user.replaceAll('=', '=3D').replaceAll(',', '=2C');
}
