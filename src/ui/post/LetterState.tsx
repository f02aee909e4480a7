import { Icon } from '../shell/Icon';
import type { Sign } from '../shell/signs';

const LOOK: Readonly<Record<string, { look: string; icon: Sign }>> = {
  held: { look: 'needs-you', icon: 'pause' },
  later: { look: 'waiting', icon: 'clock' },
  going: { look: 'waiting', icon: 'hourglass-split' },
  sent: { look: 'in-order', icon: 'check' },
  delivered: { look: 'in-order', icon: 'check2-all' },
  opened: { look: 'in-order', icon: 'envelope-open' },
  bounced: { look: 'needs-you', icon: 'arrow-return-left' },
  failed: { look: 'needs-you', icon: 'exclamation-triangle' },
  'may have arrived': { look: 'needs-you', icon: 'question-circle' },
  'taken back': { look: 'waiting', icon: 'arrow-counterclockwise' },
  received: { look: 'in-order', icon: 'reply' },
};

/** What has become of a letter, in a word and a sign. */
export function LetterState({ status }: { status: string }) {
  const { look, icon } = LOOK[status] ?? { look: 'waiting', icon: 'dot' as const };
  return (
    <span className={`letter-state ${look}`}>
      <Icon name={icon} /> {status}
    </span>
  );
}
