import type { Step } from '../document/step';
import { FieldDesk } from '../fields/fieldDesk';
import type { SaidOtherwise } from '../fill/compile/saidOtherwise';
import type { Note } from '../fill/filled';
import type { FieldType } from '../records/fieldType';
import type { FilledLetter, WritingDesk } from './writingDesk';

/** Another way to say a fact in one letter. */
export interface OtherForm {
  /** as it will stand there */
  words: string;
  /** what it is, where it is another fact: "due date" */
  label?: string;
  said: SaidOtherwise;
}

/** Steps that say the same fact in another form; others make another fact of it. */
const SAME_FACT: ReadonlySet<Step['step']> = new Set<Step['step']>([
  ...(['long date', 'short date', 'weekday', 'day and month', 'month', 'from now', 'time'] as const),
  ...(['date and time', 'whole money', 'words', 'number', 'hours', 'international', 'town'] as const),
  ...(['with article', 'lower', 'sentence'] as const),
]);

/** So many are offered of each sort: more would be looked through longer than they save. */
const MOST = 8;

/**
 * The other forms of the fact that a note is about, and the other facts of its kind that the same record has; none that say what stands
 * there already, or nothing. A row of a listing has none: what it says is the listing's.
 */
export function otherForms(
  { id, path, value, raw }: Note,
  filled: FilledLetter,
  desk: WritingDesk,
): OtherForm[] {
  if (id.includes('.') || raw === null || raw === undefined) return [];
  const head = filled.template.head;
  const fields = new FieldDesk(head, desk.context, {}, filled.situation);
  const of = filled.choices.saidOtherwise?.[id]?.of ?? path;
  const told = fields.tell({ path, steps: [] }, []);
  if (!told) return [];
  const seen = new Set([value.toLowerCase()]);
  const isNew = (says: string | undefined): says is string =>
    says !== undefined && !seen.has(says.toLowerCase()) && Boolean(seen.add(says.toLowerCase()));
  const forms = told.forms.filter(({ steps }) => steps.every(({ step }) => SAME_FACT.has(step)));
  // Another fact stands there in the form in which this one does.
  const steps = forms.find(({ says }) => says === value)?.steps ?? [];
  const isCalled = told.type.kind === 'text' && isName(path);
  const own = (isCalled ? [] : forms).flatMap((form): OtherForm[] =>
    isNew(form.says) ? [{ words: form.says, said: { of, path, steps: form.steps } }] : [],
  );
  const group = fields.fieldsAt([]).find(({ fields: all }) => all.some((one) => one.path === path));
  const others = (group?.fields ?? []).flatMap((other): OtherForm[] => {
    if (other.type.kind === 'moment' && steps.length === 0) return [];
    if (other.path === path || !areAlike(told.type, path, other.type, other.path)) return [];
    const says = fields.says({ path: other.path, steps }, []);
    // A sum of nothing is hardly what is meant.
    if (other.type.kind === 'money' && !/[1-9]/.test(says ?? '')) return [];
    return isNew(says) ? [{ words: says, label: other.label, said: { of, path: other.path, steps } }] : [];
  });
  return [...own.slice(0, MOST), ...others.slice(0, MOST)];
}

/** Whether one fact can stand for the other: both days, sums, numbers to ring, or what somebody is called. */
function areAlike(type: FieldType, path: string, other: FieldType, otherPath: string): boolean {
  if (type.kind === 'text') return other.kind === 'text' && isName(path) && isName(otherPath);
  const days = ['date', 'moment'];
  if (days.includes(type.kind)) return days.includes(other.kind);
  return ['money', 'phone', 'address'].includes(type.kind) && type.kind === other.kind;
}

function isName(path: string): boolean {
  return /(?:^|[._])(?:name|names)$/.test(path);
}
