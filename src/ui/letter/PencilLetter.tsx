import Link from 'next/link';
import type { Template, Passage } from '../../core/template/template';
import { PencilBlocks, PencilWords, type Pencil } from './PencilBlocks';

interface Props {
  template: Template & { passages: Passage[]; labels: Record<string, string>; problems: string[] };
}

/** A template as a letter: its words in ink, its smart fields in pencil by what they are called. */
export function PencilLetter({ template: { head, document, passages, labels, problems } }: Props) {
  const pencil: Pencil = {
    labels,
    passages: new Map(passages.map((passage) => [passage.name, passage.document])),
  };
  return (
    <article className="paper letter" aria-labelledby="template-name">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="template-name">{head.name}</h1>
        {head.note && <p>{head.note}</p>}
      </div>
      {problems.length > 0 && (
        <ul className="problems" role="alert">
          {problems.map((problem) => (
            <li key={problem}>{problem}</li>
          ))}
        </ul>
      )}
      <div className="letter-body">
        <p className="subject">
          <span className="visually-hidden">Subject: </span>
          <PencilWords words={head.subject} pencil={pencil} />
        </p>
        <PencilBlocks blocks={document.content} pencil={pencil} />
      </div>
    </article>
  );
}
