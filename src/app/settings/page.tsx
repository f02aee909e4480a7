import type { Metadata } from 'next';

export const metadata: Metadata = { title: 'Settings' };

export default function SettingsPage() {
  return <p className="hint">What is settled here once, every letter draws on.</p>;
}
