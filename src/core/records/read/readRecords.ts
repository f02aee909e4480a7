import {
  findNodeAtLocation,
  parseTree,
  printParseErrorCode,
  type JSONPath,
  type ParseError,
} from 'jsonc-parser';
import { byPlace, LineIndex, type Problem } from '../../problems/problem';
import type { RecordsFile } from '../recordsFile';
import { checkRecords } from './checkRecords';

/**
 * Reads a records file (docs/command-line.md). Everything wrong with it is reported with its
 * place; a file that is not JSON is reported at its first mistakes.
 */
export function readRecords(
  text: string,
  file: string,
): { value: RecordsFile; problems: [] } | { value: undefined; problems: Problem[] } {
  const source = text.replace(/^\uFEFF/, '');
  let value: unknown;
  try {
    value = JSON.parse(source);
  } catch {
    return { value: undefined, problems: syntaxProblems(source, file) };
  }
  const wrong = checkRecords(value);
  if (wrong.length === 0) return { value: value as RecordsFile, problems: [] };
  const lines = new LineIndex(source, file);
  const root = parseTree(source);
  const problems = wrong.map(({ path, message, atKey }) => {
    const node = root && findNode(root, path);
    const at = atKey && node?.parent?.type === 'property' ? node.parent : node;
    return { ...lines.place(at?.offset ?? 0), message };
  });
  return { value: undefined, problems: problems.sort(byPlace) };
}

function syntaxProblems(source: string, file: string): Problem[] {
  const lines = new LineIndex(source, file);
  const errors: ParseError[] = [];
  parseTree(source, errors, { disallowComments: true, allowTrailingComma: false });
  const problems = errors.slice(0, 5).map(({ error, offset }) => {
    const what = printParseErrorCode(error)
      .replace(/([a-z])([A-Z])/g, '$1 $2')
      .toLowerCase();
    return { ...lines.place(offset), message: `This is not JSON: ${what}.` };
  });
  return problems.length ? problems : [{ ...lines.place(0), message: 'This is not JSON.' }];
}

/** The node at a path, or the nearest one above it that is there. */
function findNode(root: NonNullable<ReturnType<typeof parseTree>>, path: JSONPath) {
  for (let length = path.length; length > 0; length--) {
    const node = findNodeAtLocation(root, path.slice(0, length));
    if (node) return node;
  }
  return root;
}
