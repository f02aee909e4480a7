import type { Asks } from '../../core/contract/letters';

/** What somebody unknown seems to ask, as far as that can be read. */
export function AsksFor({ asks: { name, phone, service, days } }: { asks: Asks }) {
  const said = [
    ['Name', name],
    ['Telephone', phone],
    ['Asks for', service],
    ['Days', days.join(', ')],
  ].filter(([, value]) => value);
  if (said.length === 0) return null;
  return (
    <dl className="asks">
      {said.map(([label, value]) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}
