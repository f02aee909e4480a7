import Link from 'next/link';
import type { AnswersWaiting as Waiting, NeedsSomebody as Needs } from '../../core/contract/letters';
import type { Settings } from '../../core/contract/settings';
import type { SetUp } from '../../core/contract/settingUp';
import type { Today } from '../../core/contract/today';
import { capital } from '../../core/describe/capital';
import { SetUpNote } from '../settingUp/SetUpNote';
import { NumberSetting } from '../shell/NumberSetting';
import { AnswersWaiting } from '../post/AnswersWaiting';
import { FollowLetters } from '../post/FollowLetters';
import { NeedsSomebody } from '../post/NeedsSomebody';
import { OccasionCard } from './OccasionCard';

interface Props {
  today: Today;
  needs: Needs;
  waiting: Waiting;
  /** the member's own key */
  me: string;
  settings: Required<Settings>;
  /** how far setting up is, until it is over */
  setUp?: SetUp;
}

const SETTINGS = [
  { name: 'reminderSpacing', label: 'Days between reminders', choices: [3, 5, 7, 10, 14, 21, 30] },
  {
    name: 'lateAfter',
    label: 'Hours until a late letter waits for you',
    choices: [1, 2, 3, 6, 12, 24, 48, 120],
  },
  {
    name: 'idleDays',
    label: 'Days without use until a device is signed out',
    choices: [1, 3, 7, 14, 30],
  },
  {
    name: 'deviceDays',
    label: 'Days for which a device keeps what was seen last, for when there is no connection',
    choices: [0, 1, 3, 7, 14, 30, 60],
  },
] as const;

/** What is worth writing now, each with its letter begun; and the day's visits. */
export function TodayPage({
  today: { date, cards, more, uncounted, visits, words },
  needs,
  waiting,
  me,
  settings,
  setUp,
}: Props) {
  const count = cards.length + more;
  const needing = needs.letters.length;
  const answers = waiting.known.length + waiting.unknown.length;
  const heading = `${capital(words.bookings)} today`;
  return (
    <div id="page" className="page-area today" tabIndex={-1}>
      <header className="today-head">
        <h1>{date}</h1>
        <p>
          {needing > 0 && `${needing === 1 ? '1 letter needs' : `${needing} letters need`} somebody, `}
          {answers > 0 && `${answers === 1 ? '1 answer waits' : `${answers} answers wait`}, `}
          {count === 0
            ? `${needing + answers > 0 ? 'n' : 'N'}othing waits to be written`
            : count === 1
              ? '1 letter worth writing'
              : `${uncounted ? 'more than ' : ''}${count} letters worth writing`}
          ,{' '}
          {visits.length === 0
            ? `no ${words.booking}`
            : visits.length === 1
              ? `1 ${words.booking}`
              : `${visits.length} ${words.bookings}`}{' '}
          today
        </p>
      </header>
      {setUp && <SetUpNote setUp={setUp} />}
      <FollowLetters />
      <NeedsSomebody needs={needs} me={me} />
      <AnswersWaiting waiting={waiting} me={me} />
      <aside className="today-visits" aria-labelledby="visits-title">
        <h2 id="visits-title">{heading}</h2>
        {visits.length === 0 && <p className="entry-note">None.</p>}
        <ul>
          {visits.map(({ key, time, name, service }) => (
            <li key={key}>
              <Link href={`/work/bookings/${encodeURIComponent(key)}`}>
                <b>{time}</b> {name}
                <span className="entry-note">{service}</span>
              </Link>
            </li>
          ))}
        </ul>
      </aside>
      <ol className="cards" aria-label="Worth writing">
        {cards.map((card) => (
          <li key={card.id}>
            <OccasionCard card={card} />
          </li>
        ))}
      </ol>
      {cards.length === 0 && (
        <p className="hint">
          {`What comes near, was asked, is owed, was paid or is finished will stand here, each with the letter that fits.`}
        </p>
      )}
      {more > 0 && <p className="hint">{uncounted ? 'More' : `${more} more`} when these are written.</p>}
      <div className="today-settings">
        {SETTINGS.map(({ name, label, choices }) => (
          <NumberSetting key={name} name={name} label={label} value={settings[name]} choices={choices} />
        ))}
      </div>
    </div>
  );
}
