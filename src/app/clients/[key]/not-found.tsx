import { NothingHere } from '../../../ui/shell/NothingHere';

export default function NoSuchClient() {
  return (
    <NothingHere title="There is no such client" back={{ href: '/clients', words: 'See all clients' }} />
  );
}
