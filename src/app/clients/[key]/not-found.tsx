export default function NoSuchClient() {
  return (
    <p className="hint" role="alert">
      There is no such client. It may have been removed.
    </p>
  );
}
