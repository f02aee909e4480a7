import type { CameAs } from '../../core/contract/letters';
import { Icon } from '../shell/Icon';
import { LETTER_SIGNS } from './letterSigns';

const LOOK: Readonly<Record<string, { look: string; icon: keyof typeof LETTER_SIGNS }>> = {
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

/** “sent”; of what came in by itself, what it is. */
export function stateInWords({ status, came_as }: { status: string; came_as?: CameAs | null }): string {
  return came_as === 'out of office' || came_as === 'automatic' ? came_as : status;
}

/** What has become of a letter, in a word and a sign. */
export function LetterState({ status, came_as = null }: { status: string; came_as?: CameAs | null }) {
  const { look, icon } = LOOK[status] ?? { look: 'waiting', icon: 'dot' as const };
  return (
    <span className={`letter-state ${look}`}>
      <Icon sign={LETTER_SIGNS[icon]} /> {stateInWords({ status, came_as })}
    </span>
  );
}
