'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { Opening } from '../shell/Opening';

/** What is settled, and where. */
const PAGES = [
  ['/settings/details', 'Own details', 'name, address, how to pay, when you work'],
  ['/settings/you', 'You', 'your name, title and numbers'],
  ['/settings/work', 'Services and invoices', 'usual lengths and prices, numbers, payment plans'],
  ['/settings/fields', 'Custom fields', 'facts that you keep of your own'],
  ['/settings/links', 'Links', 'guides and forms, kept once by name'],
  ['/settings/files', 'Files', 'price lists and terms, kept once by name'],
  ['/settings/sending', 'Sending account', 'the mail server by which letters leave'],
  ['/settings/mailbox', 'Mailbox', 'from which what comes to you is read'],
  ['/settings/signing', 'Signed letters', 'by which receivers see that they are yours'],
  ['/settings/letters', 'How letters go', 'how long they can be taken back, how answers are known'],
  ['/settings/told', 'How you are told', 'each morning, and by this device'],
  ['/settings/enquiry-form', 'Form for your site', 'a page on which people write to you'],
  ['/templates/signatures', 'Signatures', 'what stands under your letters'],
  ['/templates/letterhead', 'Letterhead', 'what stands around them'],
  ['/templates/arrange', 'Groups', 'how templates are sorted'],
  ['/templates/rights', 'Rights', 'who may change what everyone writes with'],
  ['/settings/bring-in', 'Bring in', 'clients, visits and invoices from files'],
  ['/settings/take-out', 'Take out', 'everything as one file, and for your calendar'],
  ['/settings/removed', 'Removed', 'records that can be put back'],
  ['/settings/invite', 'Another business', 'an invitation to make one here'],
] as const;

/** The places where things are settled once. */
export function SettingsIndex() {
  const here = usePathname();
  return (
    <section className={`index ${here === '/settings' ? '' : 'index-behind'}`} aria-labelledby="index-title">
      <h1 id="index-title">Settings</h1>
      <ul className="settings-index">
        {PAGES.map(([href, name, what]) => (
          <li key={href}>
            <Link
              href={href}
              prefetch={false}
              className="entry"
              aria-current={here === href ? 'page' : undefined}
            >
              <span className="entry-name">{name}</span>
              <span className="entry-note">{what}</span>
              <Opening />
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
