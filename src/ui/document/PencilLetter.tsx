import type { Template, Passage } from '../../core/template/template';
import { PencilBlocks, PencilWords } from './PencilBlocks';
import type { Pencil } from './tagLook';

interface Props {
  template: Template & { passages: Passage[]; labels: Record<string, string> };
}

/** A template as a letter: its words in ink, its smart fields in pencil by what they are called. */
export function PencilLetter({ template: { head, document, passages, labels } }: Props) {
  const pencil: Pencil = {
    labels,
    passages: new Map(passages.map((passage) => [passage.key, passage])),
  };
  return (
    <div className="letter-body">
      <p className="subject">
        <span className="visually-hidden">Subject: </span>
        <PencilWords words={head.subject} pencil={pencil} />
      </p>
      <PencilBlocks blocks={document.content} pencil={pencil} />
    </div>
  );
}
