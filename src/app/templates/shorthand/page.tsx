import type { Metadata } from 'next';
import { listShorthand } from '../../../server/templates/shorthand';
import { templatesByGroup } from '../../../server/templates/templatesByGroup';
import { ShorthandList } from '../../../ui/templates/shorthand/ShorthandList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Shorthand' };

export default async function ShorthandPage() {
  const member = await requireMember();
  const [shorthand, groups] = await Promise.all([listShorthand(member), templatesByGroup(member)]);
  return <ShorthandList shorthand={shorthand} groups={groups} changesShared={member.changesShared} />;
}
