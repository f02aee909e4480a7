import type { Block, Blank, Inline, ListChild, Mark, Structured, TableRow } from '../../template/document';
import { definitionKey, isDefinition, readAnswer, type BlankDefinition } from '../blanks';
import type { ReadPassage, Scope } from '../paths/scope';
import { report } from '../paths/scope';

type Visited = Block | Inline | ListChild | Structured<TableRow>;

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
  parts: readonly (readonly Visited[])[],
  scope: Scope,
): ReadonlyMap<string, BlankDefinition> {
  const uses: Use[] = [];
  for (const part of parts) visitAll(part, scope, uses, new Set());
  const blanks = new Map<string, BlankDefinition>();
  const keys = new Map<string, string>();
  for (const { blank, scope: at } of uses) {
    if (!isDefinition(blank)) continue;
    const key = keys.get(blank.name);
    if (key === undefined) {
      keys.set(blank.name, definitionKey(blank));
      blanks.set(blank.name, define(blank, at));
    } else if (key !== definitionKey(blank)) {
      report(at, blank, `The blank “${blank.name}” is defined twice, and not alike.`);
    }
  }
  for (const { blank } of uses) {
    if (!blanks.has(blank.name)) blanks.set(blank.name, { name: blank.name, answer: { kind: 'text' } });
  }
  return blanks;
}

function define(blank: Blank, scope: Scope): BlankDefinition {
  const definition: BlankDefinition = { name: blank.name, answer: blank.answer ?? { kind: 'text' } };
  if (blank.default === undefined) return definition;
  const preset = readAnswer(blank.default, definition.answer, scope.schema.currency);
  if ('value' in preset) return { ...definition, preset: preset.value };
  report(
    scope,
    blank,
    `The default of the blank “${blank.name}” must be ${preset.expected}, not “${blank.default}”.`,
  );
  return definition;
}

function visitAll(nodes: readonly Visited[], scope: Scope, uses: Use[], seen: Set<ReadPassage>): void {
  for (const node of nodes) visit(node, scope, uses, seen);
}

function visit(node: Visited, scope: Scope, uses: Use[], seen: Set<ReadPassage>): void {
  const inside = (nodes: readonly Visited[] | undefined) => visitAll(nodes ?? [], scope, uses, seen);
  switch (node.type) {
    case 'blank':
      uses.push({ blank: node, scope });
      break;
    case 'passage': {
      const used = scope.passages.get(node.name);
      if (used && !seen.has(used)) {
        seen.add(used);
        const own = { ...scope, places: used.places, file: node.name };
        visitAll(used.passage.document.content, own, uses, seen);
      }
      break;
    }
    case 'image':
      inside(node.source);
      inside(node.description);
      inside(node.link);
      break;
    case 'table':
      for (const cell of node.header) inside(cell.content);
      inside(node.content);
      break;
    case 'tableRow':
      for (const cell of node.content) inside(cell.content);
      break;
    default:
      if ('content' in node) inside(node.content as Visited[]);
      if (node.type === 'when') inside(node.otherwise as Visited[] | undefined);
  }
  if ('marks' in node)
    for (const mark of (node.marks ?? []) as Mark[]) if (mark.type === 'link') inside(mark.address);
}
