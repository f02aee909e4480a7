import { NothingHere } from '../../ui/shell/NothingHere';

export default function NotAmongTemplates() {
  return (
    <NothingHere
      title="There is no such template, passage or signature"
      words="It may have been renamed or removed."
      back={{ href: '/templates', words: 'See all templates' }}
    />
  );
}
