import { capital } from '../describe/capital';
import type { CompileContext } from '../fill/compile/newScope';
import { labelsOf } from '../fill/describe/labels';
import { fieldsAt, type FieldGroup } from '../fields/fieldsAt';
import { newScope } from '../fill/compile/newScope';
import { STARTING_POINTS } from '../records/recordKind';
import { SIGNATURE } from '../recognise/knownFacts';
import { printTag } from '../template/tags/printTag';
import { startOfPaths } from './fieldOfName';
import type { NamedField } from './foreignNames';

/** “Booking, start, long date”: what a field says, whatever a template starts from. @param titles what the business calls its records */
export function meantLabel(
  { path, steps }: Pick<NamedField, 'path' | 'steps'>,
  context: CompileContext,
  titles: Readonly<Record<string, string>> = {},
): string {
  if (path === SIGNATURE) return 'Signature';
  const tag = { type: 'field' as const, attrs: { path, steps } };
  const head = { name: '', group: '', startsFrom: startOfPaths([path]), subject: [] };
  const document = { type: 'doc' as const, content: [{ type: 'paragraph' as const, content: [tag] }] };
  const label = labelsOf({ head, document }, context)[printTag(tag)] ?? path;
  const root = path.split('.')[0]!;
  const whose = titles[root] ?? root.replaceAll('_', ' ');
  const [first] = label.split(',');
  return capital(root === path || first === root || root === 'links' ? label : `${whose}, ${label}`);
}

/** The fields that any template may say, by record: those of each as the first starting point reaches them that does. */
export function allFields(
  context: CompileContext,
  titles: Readonly<Record<string, string>> = {},
): FieldGroup[] {
  const groups = new Map<string, FieldGroup>();
  for (const startsFrom of STARTING_POINTS)
    for (const group of fieldsAt(newScope(context, { name: '', startsFrom }, []), titles))
      if (group.unreachable === undefined && !groups.has(group.root)) groups.set(group.root, group);
  return [...groups.values()];
}
