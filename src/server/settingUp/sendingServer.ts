/** Where letters leave, as it was settled when the application was started. */
export interface SendingServer {
  /** its address and port */
  host: string;
  /** the stand-in that ships with the application: nothing leaves this machine, and what it got can be read */
  mailbox?: string;
}

/** The server that letters are handed to; undefined where none is named. */
export function sendingServer(): SendingServer | undefined {
  const { SMTP_URL, MAILBOX_SMTP_PORT, MAILBOX_PORT } = process.env;
  if (!SMTP_URL || !URL.canParse(SMTP_URL)) return undefined;
  const { hostname, port } = new URL(SMTP_URL);
  const isStandIn = hostname === '127.0.0.1' && port === MAILBOX_SMTP_PORT;
  return {
    host: port ? `${hostname}, port ${port}` : hostname,
    ...(isStandIn && MAILBOX_PORT ? { mailbox: `http://127.0.0.1:${MAILBOX_PORT}` } : {}),
  };
}
