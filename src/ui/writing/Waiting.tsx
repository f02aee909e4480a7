/** What stands where a letter is to be written, until it can be: what is fetched, or why it was not. */
export function Waiting({
  state,
  onAgain,
}: {
  state: 'fetching' | 'offline' | 'failed' | 'missing';
  onAgain: () => void;
}) {
  if (state === 'fetching') {
    return (
      <p className="hint" role="status">
        Fetching what the letter is written from …
      </p>
    );
  }
  const words = {
    offline: ['There is no connection', 'What you have written is kept on this device.'],
    failed: ['This could not be fetched', 'Nothing was lost. It may be the server.'],
    missing: ['There is no such record', 'It may have been removed. Start from another one.'],
  }[state];
  return (
    <div className="notice" role="alert">
      <h1>{words[0]}</h1>
      <p>{words[1]}</p>
      {state !== 'missing' && (
        <button type="button" className="btn btn-primary" onClick={onAgain}>
          Try again
        </button>
      )}
    </div>
  );
}
