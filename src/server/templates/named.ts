import { UniqueConstraintError } from 'sequelize';
import type { NamedAnswer } from '../../core/contract/named';
import { beginning, type PencilNames } from '../../core/describe/pencilTokens';
import type { TemplateDocument } from '../../core/document/templateDocument';
import type { CompileContext } from '../../core/fill/compile/newScope';
import { labelsOf } from '../../core/fill/describe/labels';
import type { Changed } from '../../data/repositories/templates/groups';

/** A name as it is kept: "  Ways  to pay" is "Ways to pay". */
export function plainName(name: string): string {
  return name.trim().replace(/\s+/g, ' ');
}

/**
 * Does what gives something a name; one that another has is no failure: the words stand at the name.
 * @param taken those words
 */
export async function namedOnce<Answer>(
  taken: string,
  work: () => Promise<Answer>,
): Promise<Answer | { result: 'taken'; error: string; field: 'name' }> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return { result: 'taken', error: taken, field: 'name' };
  }
}

/** "There is another passage called “Parking”." */
export function anotherCalled(what: string, name: string): string {
  return `There is another ${what} called “${name}”.`;
}

export function wrong(problems: string[]): NamedAnswer {
  return { result: 'wrong', error: problems.join(' '), problems };
}

/** What is said of a change to a passage or a signature. @param version the one that it has now */
export function changedAnswer(what: string, changed: Changed, key: string, version: number): NamedAnswer {
  if (changed === 'done') return { result: 'done', key, version };
  if (changed === 'gone') return { result: 'gone', error: `This ${what} is no longer there.` };
  return {
    result: 'overtaken',
    error: `Somebody has changed this ${what} since you opened it. What you wrote is still here.`,
  };
}

/** Says how passages and signatures begin: their fields by what they are called, whatever a letter starts from. */
export function beginningIn(
  context: CompileContext,
  passages: PencilNames['passages'],
): (document: TemplateDocument) => string {
  const head = { name: '', group: '', startsFrom: 'invoice' } as const;
  return (document) =>
    beginning(document, {
      labels: labelsOf({ head: { ...head, subject: [] }, document }, context),
      passages,
    });
}
