import type { Metadata } from 'next';

export const metadata: Metadata = { title: 'Clients' };

export default function ClientsPage() {
  return <p className="hint">Choose a client to see their facts, their work and their letters.</p>;
}
