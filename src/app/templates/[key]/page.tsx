import { ownerKey } from '../../../core/contract/ownerKey';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { templateInPencil } from '../../../server/templates/templateInPencil';
import { printTemplate } from '../../../core/template/text/printTemplate';
import { inNames } from '../../../core/template/naming';
import { TemplateDesk } from '../../../ui/templates/TemplateDesk';
import { PencilLetter } from '../../../ui/document/PencilLetter';
import { requireMember } from '../../session';

type Props = { params: Promise<{ key: string }> };

const load = cache(async (key: string) => templateInPencil(await requireMember(), key));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await load((await params).key))?.head.name ?? 'Nothing found' };
}

export default async function TemplatePage({ params }: Props) {
  const template = await load((await params).key);
  if (!template) notFound();
  const { head, version, problems, facts, drafts } = template;
  const member = await requireMember();
  return (
    <TemplateDesk
      key={template.key}
      owner={ownerKey(member.business_id, member.key)}
      templateKey={template.key}
      version={version}
      name={head.name}
      {...(head.note === undefined ? {} : { note: head.note })}
      startsFrom={head.startsFrom}
      problems={problems}
      text={printTemplate(inNames(template, facts))}
      facts={facts}
      drafts={drafts}
      locked={!member.changesShared && !head.mine}
      pencil={<PencilLetter template={template} />}
    />
  );
}
