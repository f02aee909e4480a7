import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { itemPage } from '../../../../../server/records/recordPage';
import { RecordFileList } from '../../../../../ui/files/RecordFileList';
import { RecordPaper } from '../../../../../ui/records/RecordPaper';
import { recordPath } from '../../../../../ui/records/recordPath';
import { keyFrom } from '../../../../keyFrom';
import { requireMember } from '../../../../session';

type Props = { params: Promise<{ key: string; item: string }> };

const load = cache(async (client: string, item: string) =>
  itemPage(await requireMember(), keyFrom(client), keyFrom(item)),
);

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { key, item } = await params;
  return { title: (await load(key, item))?.view.title ?? 'Nothing found' };
}

/** A thing of a client: what is known of it, its pictures, and what was done to it. */
export default async function ItemPage({ params }: Props) {
  const { key: segment, item } = await params;
  const found = await load(segment, item);
  if (!found) notFound();
  const member = await requireMember();
  const { view, files } = found;
  const key = keyFrom(segment);
  const path = recordPath({ kind: 'client', key });
  return (
    <RecordPaper
      from={`client:${key}`}
      back={{ href: path, words: view.client!.name }}
      view={view}
      words={member.words}
      change={`${path}/change#client-items`}
      files={<RecordFileList {...files} />}
    />
  );
}
