import type { Clause } from '../document/step';
import type { FieldType } from '../records/fieldType';

/** What is asked of a fact before anything is said: whether it is so, is over nothing, is there. */
export function clauseOf(path: string, type: FieldType): Clause {
  switch (type.kind) {
    case 'yes/no':
      return { path, steps: [] };
    case 'money':
    case 'number':
    case 'duration':
    case 'percent':
      return { path, steps: [], operator: 'over', right: { kind: 'number', text: '0' } };
    default:
      return { path, steps: [], operator: 'is set' };
  }
}
