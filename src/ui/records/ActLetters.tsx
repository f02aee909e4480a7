import Link from 'next/link';
import type { ActTemplates } from '../../core/contract/acts';
import { writePath } from '../../core/writing/writePath';

interface Props {
  act: ActTemplates;
  /** `booking:b01` */
  from: string;
}

/** What was just done has letters of its own: the first one on top, the others one press away; never forced. */
export function ActLetters({ act: { act, templates }, from }: Props) {
  const [first, ...others] = templates;
  const write = (key: string) => writePath(from, key);
  return (
    <section className="act-letters" aria-label="The letter for it">
      {first ? (
        <>
          <Link href={write(first.key)} className="btn btn-primary">
            Write “{first.name}”
          </Link>
          {others.map(({ key, name }) => (
            <Link key={key} href={write(key)} prefetch={false}>
              {name}
            </Link>
          ))}
        </>
      ) : (
        <p>
          Kept. There is no letter for “{act}” yet. <Link href="/templates/acts">Choose one</Link>
        </p>
      )}
    </section>
  );
}
