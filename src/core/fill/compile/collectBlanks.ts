import { partsIn, type Part } from '../../document/eachPart';
import type { Blank } from '../../document/templateDocument';
import { definitionKey, isDefinition, readAnswer, type BlankDefinition } from '../blanks';
import type { ReadPassage, Scope } from '../paths/scope';
import { report } from '../paths/scope';

/** A blank's tag with the scope it stands in, for reporting. */
interface Use {
  blank: Blank;
  scope: Scope;
}

/**
 * Finds the blanks of a template and of the passages it uses: what each is, and whether all agree. Blanks that
 * only a condition names exist too if some tag defines them.
 */
export function collectBlanks(
  parts: readonly (readonly Part[])[],
  scope: Scope,
): ReadonlyMap<string, BlankDefinition> {
  const uses: Use[] = [];
  for (const part of parts) visitAll(part, scope, uses, new Set());
  const blanks = new Map<string, BlankDefinition>();
  const keys = new Map<string, string>();
  for (const { blank, scope: at } of uses) {
    if (!isDefinition(blank)) continue;
    const { name } = blank.attrs;
    const key = keys.get(name);
    if (key === undefined) {
      keys.set(name, definitionKey(blank));
      blanks.set(name, define(blank, at));
    } else if (key !== definitionKey(blank)) {
      report(at, blank, `The blank “${name}” is defined twice, and not alike.`);
    }
  }
  for (const { blank } of uses) {
    const { name } = blank.attrs;
    if (!blanks.has(name)) blanks.set(name, { name, answer: { kind: 'text' } });
  }
  return blanks;
}

function define(blank: Blank, scope: Scope): BlankDefinition {
  const { name, answer = { kind: 'text' }, default: written } = blank.attrs;
  const definition: BlankDefinition = { name, answer };
  if (written === undefined) return definition;
  const preset = readAnswer(written, definition.answer, scope.schema.currency);
  if ('value' in preset) return { ...definition, preset: preset.value };
  report(scope, blank, `The default of the blank “${name}” must be ${preset.expected}, not “${written}”.`);
  return definition;
}

function visitAll(nodes: readonly Part[], scope: Scope, uses: Use[], seen: Set<ReadPassage>): void {
  for (const node of nodes) {
    if (node.type === 'blank') uses.push({ blank: node, scope });
    else if (node.type === 'passage') {
      const used = scope.passages.get(node.attrs.passage);
      if (used && !seen.has(used)) {
        seen.add(used);
        const own = { ...scope, places: used.places, file: used.passage.name };
        visitAll(used.passage.document.content, own, uses, seen);
      }
    }
    visitAll(partsIn(node), scope, uses, seen);
  }
}
