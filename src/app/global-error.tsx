'use client';

/** Stands in for the whole page, so it brings its own frame. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en-GB">
      <body>
        <main role="alert">
          <title>Something went wrong · Fair Quill</title>
          <h1>Fair Quill could not be shown</h1>
          <p>Nothing was lost. It may be the connection or the server.</p>
          <button type="button" onClick={reset}>
            Try again
          </button>
        </main>
      </body>
    </html>
  );
}
