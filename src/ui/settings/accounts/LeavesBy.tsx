interface Props {
  /** the server of the business’s own account */
  account?: string | undefined;
  /** the application’s own; absent where none is named */
  server?: { host: string; mailbox?: string } | undefined;
}

/** By what letters leave that have no account of their own. */
export function LeavesBy({ account, server }: Props) {
  if (account !== undefined)
    return (
      <p>
        As long as there is none, yours leave by <b>{account}</b>, as everybody’s here.
      </p>
    );
  if (server?.mailbox !== undefined)
    return (
      <p>
        As long as there is none, letters go to a mailbox on this very machine, for trying out, and to nobody.
        What it got is read at <a href={server.mailbox}>{server.mailbox}</a>.
      </p>
    );
  if (server)
    return (
      <p>
        As long as there is none, letters are handed to <b>{server.host}</b>, as it was settled when the
        application was started.
      </p>
    );
  return <p className="needs-you">No mail server is named: letters wait here until one is.</p>;
}
