export default function Loading() {
  return (
    <p className="hint" role="status">
      Fetching …
    </p>
  );
}
