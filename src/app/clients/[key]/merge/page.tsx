import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { likelyDoubles, twoClients } from '../../../../server/clients/mergeClients';
import { recordFacts } from '../../../../server/records/keepRecord';
import { FindDouble } from '../../../../ui/clients/FindDouble';
import { MergeForm } from '../../../../ui/clients/MergeForm';
import { recordPath } from '../../../../ui/records/recordPath';
import { SettingsPaper } from '../../../../ui/settings/SettingsPaper';
import type { Asked } from '../../../beginningFrom';
import { keyFrom } from '../../../keyFrom';
import { requireMember } from '../../../session';

export const metadata: Metadata = { title: 'There twice' };

type Props = { params: Promise<{ key: string }>; searchParams: Promise<Asked> };

export default async function MergePage({ params, searchParams }: Props) {
  const member = await requireMember();
  const key = keyFrom((await params).key);
  const { with: other } = await searchParams;
  const facts = await recordFacts(member, 'client', key);
  if (!facts) notFound();
  const back = { href: recordPath({ kind: 'client', key }), words: 'Back' };
  const here = `${back.href}/merge`;
  const two = typeof other === 'string' ? await twoClients(member, key, other) : undefined;
  if (two)
    return (
      <SettingsPaper
        title={`“${two.gone.name}” goes into ${two.kept.name}`}
        note="All letters, visits, jobs and invoices of both are one client’s from then on. For a day it can be undone."
        back={{ href: here, words: 'Another' }}
      >
        <MergeForm clientKey={key} otherKey={other as string} two={two} />
      </SettingsPaper>
    );
  const likely = await likelyDoubles(member, key);
  return (
    <SettingsPaper
      title={`Is ${facts.name} there twice?`}
      note="Choose the other one: it goes into this one, with all that is its own."
      back={back}
    >
      <section className="form-part" aria-label="Likely the same">
        {likely.length === 0 ? (
          <p>No other has the same name, address or number.</p>
        ) : (
          <ul className="record-links">
            {likely.map((entry) => (
              <li key={entry.key}>
                <Link href={`${here}?with=${encodeURIComponent(entry.key)}`} prefetch={false}>
                  {entry.name}
                </Link>
                <span className="entry-note">{entry.note}</span>
              </li>
            ))}
          </ul>
        )}
        <FindDouble here={here} clientKey={key} />
      </section>
    </SettingsPaper>
  );
}
