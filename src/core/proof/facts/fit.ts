import type { Check } from '../proofMark';

/** A template that is meant for another moment would say something that is not so: a reminder of what is paid. */
export const checkFit: Check = ({ head, fits }, { start, book }) =>
  fits
    ? []
    : [
        {
          kind: 'query',
          id: `fit ${head.name}`,
          message: `“${head.name}” is not meant for this ${start.kind === 'booking' ? book.words.booking : start.kind} as it stands. Read it well, or choose another template.`,
        },
      ];
