import type { Metadata } from 'next';

export const metadata: Metadata = { title: 'Post' };

export default function PostPage() {
  return <p className="hint">Choose a letter to see it as it was sent, and what became of it.</p>;
}
