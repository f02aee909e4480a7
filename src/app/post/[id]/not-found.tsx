export default function NoSuchLetter() {
  return (
    <p className="hint" role="alert">
      There is no such letter.
    </p>
  );
}
