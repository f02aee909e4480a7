import type { Metadata } from 'next';
import { templatesByGroup } from '../../server/templates/templatesByGroup';
import { requireMember } from '../session';

export const metadata: Metadata = { title: 'Templates' };

export default async function TemplatesPage() {
  const groups = await templatesByGroup(await requireMember());
  const any = groups.some((group) => group.templates.length > 0);
  return (
    <p className="hint">
      {any
        ? 'Choose a template to read it as a letter.'
        : 'There is no template yet. The first one will stand here.'}
    </p>
  );
}
