import { byPlace, type Problem } from '../problems/problem';
import type { Template, TemplateHead } from '../template/template';
import type { BlankDefinition } from './blanks';
import { collectBlanks } from './compile/collectBlanks';
import { compileCondition } from './compile/condition';
import { newScope, type CompileContext } from './compile/newScope';
import { compileJoined, joinedHead, scopePutIn, wordsPutIn, type PutInTemplate } from './compile/putIn';
import { compileLine, compileWords, mailboxes } from './compile/words';
import { report, type Scope } from './paths/scope';
import type { Emit, Run } from './run';

/** A template judged and made ready: filled any number of times, for any records of its business. */
export interface CompiledTemplate {
  head: TemplateHead;
  blanks: ReadonlyMap<string, BlankDefinition>;
  subject: Emit;
  replyTo?: (run: Run) => string;
  copy?: (run: Run) => string;
  blindCopy?: (run: Run) => string;
  body: Emit;
  /** whether what its head says of when it fits holds; absent where it says nothing */
  fits?: (run: Run) => boolean;
  /** how many slots its fields need for what they are read from */
  slots: number;
}

/**
 * Judges a template by the schema and compiles it; everything that is wrong is reported at once.
 * @param putIn other templates whose words stand in it: their blanks of one name have to be alike
 */
export function compileTemplate(
  { head, document }: Template,
  context: CompileContext,
  putIn: readonly PutInTemplate[] = [],
): { compiled: CompiledTemplate; problems: [] } | { compiled: undefined; problems: Problem[] } {
  const problems: Problem[] = [];
  const scope = newScope(context, head, problems);
  const lines = [head.subject, head.replyTo, head.copy, head.blindCopy].flatMap((line) =>
    line ? [line] : [],
  );
  // A letter that has no subject yet has that of what is put into it.
  const [named] = head.subject.length === 0 ? putIn : [];
  const others = [...(named ? [named.head.subject] : []), ...putIn.map(wordsPutIn)];
  const blanks = collectBlanks([...lines, document.content, ...others], scope);
  const judged: Scope = { ...scope, blanks };
  const fits =
    head.fitsWhen &&
    compileCondition(head.fitsWhen, judged, (message) => report(judged, head.fitsWhen!, message));
  const compiled: CompiledTemplate = {
    head: putIn.length ? joinedHead(head, putIn) : head,
    blanks,
    subject: named
      ? compileWords(named.head.subject, {
          ...scopePutIn(judged, named),
          naming: { of: `${named.key}:s`, parts: 0 },
        })
      : compileWords(head.subject, judged),
    ...(head.replyTo ? { replyTo: compileLine(head.replyTo, judged, mailboxes) } : {}),
    ...(head.copy ? { copy: compileLine(head.copy, judged, mailboxes) } : {}),
    ...(head.blindCopy ? { blindCopy: compileLine(head.blindCopy, judged, mailboxes) } : {}),
    ...(fits ? { fits } : {}),
    body: compileJoined(document.content, judged, putIn),
    slots: scope.tally.slotCount,
  };
  return problems.length ? { compiled: undefined, problems: eachOnce(problems) } : { compiled, problems: [] };
}

/** In reading order; a passage used twice reports its mistakes once. */
function eachOnce(problems: readonly Problem[]): Problem[] {
  const seen = new Map(problems.map((one) => [`${one.file}:${one.line}:${one.column}:${one.message}`, one]));
  return [...seen.values()].sort(byPlace);
}
