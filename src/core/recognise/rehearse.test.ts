import { expect, it } from 'vitest';
import { readPassages } from '../fill/paths/scope';
import { SAMPLE } from '../fill/test/fillSample';
import { STARTING_POINTS } from '../records/recordKind';
import { schemaOf } from '../records/schema';
import { rehearse } from './rehearse';

it.each(STARTING_POINTS)(
  'a letter from %s can be rehearsed before anything is known of telephones',
  (kind) => {
    const context = { schema: schemaOf(SAMPLE), passages: readPassages([]) };
    expect(() => rehearse(kind, SAMPLE.business, context)).not.toThrow();
  },
);
