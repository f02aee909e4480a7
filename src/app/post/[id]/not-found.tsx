import { NothingHere } from '../../../ui/shell/NothingHere';

export default function NoSuchLetter() {
  return (
    <NothingHere
      title="There is no such letter"
      words="It is not in this business’s post."
      back={{ href: '/post', words: 'See the post' }}
    />
  );
}
