import Link from 'next/link';

interface Props {
  /** "There is no such client" */
  title: string;
  words?: string;
  /** where the others are */
  back: { href: string; words: string };
}

/** Says that what was asked for is not there, with the way to what is. */
export function NothingHere({ title, words = 'It may have been removed.', back }: Props) {
  return (
    <section className="hint" role="alert" aria-labelledby="nothing-title">
      <h1 id="nothing-title">{title}</h1>
      <p>{words}</p>
      <Link href={back.href}>{back.words}</Link>
    </section>
  );
}
