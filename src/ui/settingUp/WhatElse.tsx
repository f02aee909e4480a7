import Link from 'next/link';

const PAGES = [
  ['/settings/work', 'Services and invoices', 'what you do, how long it takes, what it costs'],
  ['/settings/bring-in', 'Bring in', 'clients, visits and invoices that you have in files'],
  ['/settings/fields', 'Custom fields', 'facts that only your business keeps'],
  ['/settings/enquiry-form', 'Form for your site', 'a page on which people write to you'],
] as const;

/** What is worth settling next, and can wait. */
export function WhatElse() {
  return (
    <section className="form-part" aria-labelledby="what-else">
      <h2 id="what-else">When you have a minute</h2>
      <ul className="record-links">
        {PAGES.map(([href, name, what]) => (
          <li key={href}>
            <Link href={href} prefetch={false}>
              {name}
            </Link>
            <span className="entry-note">{what}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
