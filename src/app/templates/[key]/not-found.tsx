import { NothingHere } from '../../../ui/shell/NothingHere';

export default function TemplateNotFound() {
  return (
    <NothingHere
      title="There is no such template"
      words="It may have been renamed or removed."
      back={{ href: '/templates', words: 'See all templates' }}
    />
  );
}
