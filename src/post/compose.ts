import MailComposer from 'nodemailer/lib/mail-composer';

export interface OutgoingLetter {
  messageId?: string;
  date: Date;
  from: { name: string; address: string };
  to: { name: string; address: string }[];
  copies: { name: string; address: string }[];
  replyTo?: string;
  subject: string;
  text: string;
  html: string;
}

/** Composes a complete message (RFC 5322, multipart/alternative) as bytes. */
export async function compose(letter: OutgoingLetter): Promise<Buffer> {
  const { copies, ...rest } = letter;
  return new MailComposer({ ...rest, cc: copies, newline: '\r\n' } as ConstructorParameters<
    typeof MailComposer
  >[0])
    .compile()
    .build();
}
