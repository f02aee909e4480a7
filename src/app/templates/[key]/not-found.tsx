export default function TemplateNotFound() {
  return (
    <p className="hint">
      There is no such template. It may have been renamed or removed; the others are in the list.
    </p>
  );
}
