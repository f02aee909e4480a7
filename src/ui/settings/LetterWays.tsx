import type { Settings } from '../../core/contract/settings';
import { YesNoSetting } from '../shell/YesNoSetting';
import { NumberSetting } from '../shell/NumberSetting';

const SETTINGS = [
  {
    name: 'takeBackSeconds',
    label: 'Seconds in which a letter can be taken back',
    choices: [5, 10, 20, 30, 60, 120],
  },
  {
    name: 'sameLetterDays',
    label: 'Days within which the same letter to the same person is asked about',
    choices: [1, 3, 7, 14, 30, 60, 90],
  },
] as const;

/** What holds for every letter on its way out, and its answers. @param canTell whether others reach this application */
export function LetterWays({ settings, canTell }: { settings: Required<Settings>; canTell: boolean }) {
  return (
    <div className="form-part">
      {SETTINGS.map(({ name, label, choices }) => (
        <NumberSetting key={name} name={name} label={label} value={settings[name]} choices={choices} />
      ))}
      <YesNoSetting
        name="marksReplies"
        label="Answers are known by a mark in the address"
        help="Letters then ask to be answered to your address with a mark behind its name, as in imke+r…@, so that an answer is known whatever its writer’s program leaves out. Mail to your addresses must come in here, with such marks; whoever keeps your mail knows whether it does."
        value={settings.marksReplies}
      />
      <YesNoSetting
        name="asksOpened"
        label="Letters tell when they are opened"
        help={`Each letter then has a small picture in it that is fetched from here when it is shown. Many mail programs show none, and some fetch all of them though nobody reads: a letter that is not said to be opened may have been read, and one that is said to be may not. Some people mind it.${canTell ? '' : ' This application has no address that others reach (APP_URL), so that no letter has one.'}`}
        value={settings.asksOpened}
      />
    </div>
  );
}
