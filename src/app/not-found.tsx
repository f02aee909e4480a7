import Link from 'next/link';

export const metadata = { title: 'Nothing found' };

export default function NotFound() {
  return (
    <main className="notice">
      <h1>There is nothing here</h1>
      <p>It may have been moved or removed.</p>
      <Link href="/today">Go to Today</Link>
    </main>
  );
}
