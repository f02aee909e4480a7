const LOOK: Readonly<Record<string, { look: string; icon: string }>> = {
  held: { look: 'needs-you', icon: 'bi-pause' },
  going: { look: 'waiting', icon: 'bi-hourglass-split' },
  sent: { look: 'in-order', icon: 'bi-check' },
  delivered: { look: 'in-order', icon: 'bi-check2-all' },
  opened: { look: 'in-order', icon: 'bi-envelope-open' },
  bounced: { look: 'needs-you', icon: 'bi-arrow-return-left' },
  failed: { look: 'needs-you', icon: 'bi-exclamation-triangle' },
  'may have arrived': { look: 'needs-you', icon: 'bi-question-circle' },
  'taken back': { look: 'waiting', icon: 'bi-arrow-counterclockwise' },
  received: { look: 'in-order', icon: 'bi-reply' },
};

/** What has become of a letter, in a word and a sign. */
export function LetterState({ status }: { status: string }) {
  const { look, icon } = LOOK[status] ?? { look: 'waiting', icon: 'bi-dot' };
  return (
    <span className={`letter-state ${look}`}>
      <i className={`bi ${icon}`} aria-hidden="true" /> {status}
    </span>
  );
}
