import type { ToldMail } from '../tellMail';

/** A message that is awkward to read, and what has to be told of it. */
export interface Awkward {
  name: string;
  raw: Buffer;
  told: Partial<Omit<ToldMail, 'files' | 'deliveries'>> & {
    /** address, state, status and reason of each */
    deliveries?: readonly (readonly [address: string, state: string, status: string, reason: string])[];
    /** name and type of each */
    files?: readonly (readonly [name: string, type: string])[];
  };
}

/** The id and Message-ID of the letter that they are about. */
export const LETTER = '0f8c2d1e-5a77-4b19-9c3e-7d1a2b3c4d5e';
export const MARKED = 'imke+raprqwr4wtxjmmzypt5divtytk6@larkfield.example';
export const LETTER_ID = 'c41d7e@larkfield.example';

export const IN_REPLY = { sign: 'in reply to', messageIds: [LETTER_ID] } as const;
export const RETURNED = { sign: 'returned message', messageIds: [LETTER_ID] } as const;

/** The head of a message, with what is usual unless it is given; undefined leaves it out. */
export function head(more: Record<string, string | undefined> = {}): string {
  const all: Record<string, string | undefined> = {
    From: 'Oda Hartigan <oda@hartigan.example>',
    To: 'Imke Sandoval <imke@larkfield.example>',
    Subject: 'Re: Your visit',
    Date: 'Fri, 27 Nov 2026 10:00:00 +0000',
    'Message-ID': '<answer-1@hartigan.example>',
    'In-Reply-To': `<${LETTER_ID}>`,
    'MIME-Version': '1.0',
    'Content-Type': 'text/plain; charset=utf-8',
    ...more,
  };
  return Object.entries(all)
    .flatMap(([name, value]) => (value === undefined ? [] : `${name}: ${value}\r\n`))
    .join('');
}

/** A message from its head and its body, in which lines may end as they like. */
export function message(more: Record<string, string | undefined>, body: string | Buffer): Buffer {
  const bytes = typeof body === 'string' ? Buffer.from(body.replace(/\r?\n/g, '\r\n')) : body;
  return Buffer.concat([Buffer.from(`${head(more)}\r\n`), bytes]);
}

/** Parts of a multipart body: each with its own head, its lines parted by the boundary. */
export function parts(boundary: string, ...all: readonly (readonly [head: string, body: string])[]): string {
  return `${all.map(([own, body]) => `--${boundary}\r\n${own}\r\n\r\n${body}\r\n`).join('')}--${boundary}--\r\n`;
}

export function multipart(
  kind: string,
  ...all: Parameters<typeof parts> extends [string, ...infer Rest] ? Rest : never
) {
  return {
    type: { 'Content-Type': `multipart/${kind}; boundary="=_b"` },
    body: parts('=_b', ...all),
  };
}
