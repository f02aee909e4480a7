export default function NoSuchRecord() {
  return (
    <p className="hint" role="alert">
      There is no such record. It may have been removed.
    </p>
  );
}
