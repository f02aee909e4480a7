'use client';

export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="notice" role="alert">
      <title>Something went wrong · Fair Quill</title>
      <h1>This page could not be shown</h1>
      <p>Nothing was lost. It may be the connection or the server.</p>
      <button type="button" className="btn btn-primary" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
