import type { Metadata } from 'next';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { NewTemplateForm } from '../../../ui/templates/NewTemplateForm';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'A new template' };

export default async function NewTemplatePage() {
  const member = await requireMember();
  const groups = (await templatesByGroup(member)).filter(({ key }) => key !== '');
  return <NewTemplateForm groups={groups.map(({ key, name }) => ({ key, name }))} words={member.words} />;
}
