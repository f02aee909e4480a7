import { DOCUMENT_SCHEMA } from '../document/templateDocument';
import { readTemplateDocument } from '../document/readDocument';
import type { Template, TemplateHead } from '../template/template';
import { printTemplate } from '../template/text/printTemplate';
import { readTemplate, type Reading } from '../template/text/readTemplate';

/** By which a file is told to be one. */
const FORM = 'Fair Quill template';

/** Writes a template as JSON: its head and its words as they are kept, for other programs to read. */
export function printTemplateJson({ head, document }: Template): string {
  return `${JSON.stringify({ form: FORM, version: DOCUMENT_SCHEMA, head, document }, undefined, 2)}\n`;
}

/** Whether a text may be a template as JSON. */
export function isTemplateJson(text: string): boolean {
  return /^\s*\{/.test(text) && text.slice(0, 500).includes(`"${FORM}"`);
}

/**
 * Reads a template that was written as JSON. It is read as its text form is: what that cannot say is wrong here, too.
 * @param file the name that problems are reported under
 */
export function readTemplateJson(text: string, file: string): Reading<Template> {
  const wrong = (message: string): Reading<Template> => ({
    value: undefined,
    problems: [{ file, line: 1, column: 1, message }],
  });
  let json: { version?: unknown; head?: unknown; document?: unknown };
  try {
    json = JSON.parse(text) as typeof json;
  } catch (error) {
    return wrong(`This is no JSON: ${(error as Error).message}.`);
  }
  if (json.version !== DOCUMENT_SCHEMA)
    return wrong(
      `This was written by another version: ${DOCUMENT_SCHEMA} is read, not ${String(json.version)}.`,
    );
  let printed: string;
  try {
    printed = printTemplate({
      head: json.head as TemplateHead,
      document: readTemplateDocument(json.document),
    });
  } catch {
    return wrong('Its head or its words are not as those of a template are.');
  }
  return readTemplate(printed, file);
}
