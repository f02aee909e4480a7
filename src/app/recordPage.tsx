import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import type { RecordView } from '../core/describe/viewParts';
import type { BookingWords } from '../core/records/bookingWords';
import { actedOn, actOfWord } from '../core/template/acts';
import type { StartingPoint } from '../core/records/which/situation';
import { mergedLately } from '../server/clients/mergeClients';
import { recordPage } from '../server/records/recordPage';
import { showLetters } from '../server/letters/showLetters';
import { templatesOfAct } from '../server/templates/actTemplates';
import { MergedNote } from '../ui/clients/MergedNote';
import { RecordFileList } from '../ui/files/RecordFileList';
import { ActLetters } from '../ui/records/ActLetters';
import { BeginFrom } from '../ui/records/BeginFrom';
import { PaymentForm } from '../ui/records/PaymentForm';
import { RecordPaper } from '../ui/records/RecordPaper';
import { recordPath } from '../ui/records/recordPath';
import { RemoveRecord } from '../ui/records/RemoveRecord';
import { BookingActs } from '../ui/work/BookingActs';
import { FreeDayList } from '../ui/work/FreeDayList';
import { InvoiceActs } from '../ui/work/InvoiceActs';
import { keyFrom } from './keyFrom';
import { requireMember } from './session';

const load = cache(async (kind: StartingPoint['kind'], key: string) =>
  recordPage(await requireMember(), { kind, key }),
);

/** What a record is called, and whose it is. */
export async function recordTitle(kind: StartingPoint['kind'], segment: string): Promise<Metadata> {
  const view = (await load(kind, keyFrom(segment)))?.view;
  if (!view) return { title: 'Nothing found' };
  const whose = view.client && view.client.name !== view.title ? `, ${view.client.name}` : '';
  return { title: view.title + whose };
}

interface RouteProps {
  kind: StartingPoint['kind'];
  segment: string;
  back: { href: string; words: string };
  /** the act that was just done to it, as a word of the address */
  did?: string | string[] | undefined;
}

/** The page of a record of any kind. */
export async function RecordRoute({ kind, segment, back, did }: RouteProps) {
  const found = await load(kind, keyFrom(segment));
  if (!found) notFound();
  const member = await requireMember();
  const letters = await showLetters(member, found.letters);
  const key = keyFrom(segment);
  const { view, version, beforeWriting, payable, booking, invoiceStatus, days, notedBy, files } = found;
  const from = `${kind}:${key}`;
  const act = typeof did === 'string' ? actOfWord(did) : undefined;
  const word = member.words.booking;
  const merged = kind === 'client' ? await mergedLately(member, key) : [];
  return (
    <RecordPaper
      from={from}
      back={back}
      view={view}
      beforeWriting={beforeWriting}
      words={member.words}
      letters={letters}
      {...(invoiceStatus === 'void' ? {} : { change: `${recordPath({ kind, key })}/change` })}
      {...(files ? { files: <RecordFileList {...files} /> } : {})}
      foot={
        <>
          {kind === 'client' && (
            <p className="begin-from">
              <Link href={`${recordPath({ kind, key })}/merge`} prefetch={false}>
                Is this client there twice?
              </Link>
            </p>
          )}
          <RemoveRecord
            kind={kind}
            recordKey={key}
            version={version}
            name={view.title}
            along={kind === 'client' ? inWords(view, member.words) : ''}
            list={back.href}
          />
        </>
      }
    >
      {merged.length > 0 && <MergedNote clientKey={key} merged={merged} />}
      {act && actedOn(act) === kind && <ActLetters act={await templatesOfAct(member, act)} from={from} />}
      {booking && <BookingActs key={version} booking={key} version={version} word={word} {...booking} />}
      {invoiceStatus && (
        <InvoiceActs key={`acts ${version}`} invoice={key} version={version} status={invoiceStatus} />
      )}
      {kind === 'invoice' && <PaymentForm invoice={key} {...(payable ? { payable } : {})} />}
      {notedBy && <p className="record-acts needs-you">That no letters are wanted was noted by {notedBy}.</p>}
      {days && <FreeDayList days={days} />}
      <BeginFrom kind={kind} recordKey={key} booking={word} hasClient={view.client !== undefined} />
    </RecordPaper>
  );
}

/** What goes along with a client: "3 visits and 1 project" */
function inWords({ links }: RecordView, { booking, bookings }: BookingWords): string {
  const kinds = [
    ['enquiry', 'enquiry', 'enquiries'],
    ['project', 'project', 'projects'],
    ['booking', booking, bookings],
    ['invoice', 'invoice', 'invoices'],
  ] as const;
  const counted = kinds.flatMap(([kind, one, several]) => {
    const count = links.filter((link) => link.kind === kind).length;
    return count === 0 ? [] : [`${count} ${count === 1 ? one : several}`];
  });
  return new Intl.ListFormat('en-GB').format(counted);
}
