import type { Check } from '../proofMark';

/** Words that speak to a reader: such a name was written for one. */
const SPEAKS =
  /(?<!\p{L})(?:you|your|we|our|us|sie|ihre?|ihren|wir|uns|unsere?|vous|vos|votre|nous|nos|notre)(?!\p{L})|\?/iu;

/** A subject that is what the template is called in the house says nothing to its reader. */
export const checkInternalSubject: Check = ({ head, subject, lines }) => {
  const said = subject.trim().toLowerCase();
  if (!said || said !== head.name.trim().toLowerCase() || SPEAKS.test(said)) return [];
  const [line] = lines.filter(({ isSubject }) => isSubject);
  return [
    {
      kind: 'query',
      id: `internal subject ${said}`,
      message: `The subject is what the template is called: “${head.name}”. Its reader may not know what it is about.`,
      ...(line ? { at: { line: line.index, from: 0, to: line.text.length } } : {}),
    },
  ];
};
