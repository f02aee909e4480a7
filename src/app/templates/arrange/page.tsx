import type { Metadata } from 'next';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { ArrangeTemplates } from '../../../ui/templates/arrange/ArrangeTemplates';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Arrange the templates' };

export default async function ArrangePage() {
  return <ArrangeTemplates groups={await templatesByGroup(await requireMember())} />;
}
