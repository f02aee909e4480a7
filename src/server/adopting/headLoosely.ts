import { parse } from 'yaml';
import { splitFront } from '../../core/template/front/splitFront';

/** What stands in a text's head (YAML), ours or another program's, as far as it can be read; what is wrong with it is told elsewhere. */
export function headLoosely(text: string): Record<string, unknown> {
  const split = splitFront(text);
  if (split === 'never closed' || !split.front) return {};
  // A placeholder at the beginning of a value is none of YAML's.
  const quoted = text
    .slice(split.front.start, split.front.end)
    .replace(
      /^(\s*[\w -]+:\s*)([[{%*@].*)$/gm,
      (_, key: string, value: string) => key + JSON.stringify(value),
    );
  try {
    const read: unknown = parse(quoted, { maxAliasCount: 0 });
    return typeof read === 'object' && read !== null ? (read as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}
