import type { Metadata } from 'next';
import { meantNames } from '../../../server/adopting/meantNames';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { wordsFacts } from '../../../server/templates/wordsContext';
import { BringTemplates } from '../../../ui/templates/bringIn/BringTemplates';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Bring templates in, or take them out' };

export default async function BringTemplatesPage() {
  const member = await requireMember();
  const [groups, facts, remembered] = await Promise.all([
    templatesByGroup(member),
    wordsFacts(member),
    meantNames(member),
  ]);
  return <BringTemplates facts={facts} groups={groups} words={member.words} remembered={remembered} />;
}
