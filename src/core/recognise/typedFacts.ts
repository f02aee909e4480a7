import { newScope, type CompileContext } from '../fill/compile/newScope';
import { resolvePath } from '../fill/paths/resolvePath';
import type { StartingKind } from '../records/recordKind';
import { CERTAIN, type Find } from './find';

/** Whose facts are one client’s: what the house or whoever writes says of themselves belongs in a template. */
const ONES_OWN = /^(?:client|recipient|enquiry|project|booking|invoice)\./;
/** By these somebody is told from all others; of other words a template may well say what a record says. */
const NAMES =
  /\.(?:name|full_name|given_name|family_name|greeting_name|formal_name|email|number|street|postcode|location)$/;
const TOLD_BY_TYPE: ReadonlySet<string> = new Set(['date', 'moment', 'phone', 'address']);

/** Of what was found in a template’s own words, what is surely one client’s alone: it would be said to all others, too. */
export function typedFacts(
  finds: readonly Find[],
  startsFrom: StartingKind,
  context: CompileContext,
): Find[] {
  const scope = newScope(context, { name: '', startsFrom }, []);
  return finds.filter(({ path, certainty }) => {
    if (certainty < CERTAIN || !ONES_OWN.test(path)) return false;
    if (NAMES.test(path)) return true;
    const resolved = resolvePath(path, scope);
    return typeof resolved !== 'string' && TOLD_BY_TYPE.has(resolved.type.kind);
  });
}
