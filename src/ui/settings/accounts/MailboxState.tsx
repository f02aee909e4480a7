interface Props {
  /** how reading it goes; undefined: there is none yet */
  state: { words: string; trouble: boolean } | undefined;
}

/** How reading a mailbox goes, and what of it is read by whom. */
export function MailboxState({ state }: Props) {
  return (
    <div className="form-part">
      {state && <p className={state.trouble ? 'needs-you' : 'in-order'}>{state.words}</p>}
      <p>
        What comes in stands in Post, for everybody in the business: what people write, and whatever is about
        a letter of yours. What programs send to many stays in the inbox. Of what was written there, only
        letters to clients come along.
      </p>
    </div>
  );
}
