import { NothingHere } from '../../../../ui/shell/NothingHere';

export default function NoSuchRecord() {
  return <NothingHere title="There is no such record" back={{ href: '/work', words: 'See the work' }} />;
}
