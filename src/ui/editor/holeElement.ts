import type { BlankType } from '../../core/document/templateDocument';
import { dayPicker } from '../forms/dayPicker';

export interface HoleOptions {
  /** the type of a blank by its name; @param id of the place where it asks */
  blankType: (name: string, id: string) => BlankType;
  /** takes an answer; gives what was expected when it does not fit */
  answer: (name: string, typed: string, id: string) => string | undefined;
  /** an answer was given by a key or a press: the next question can be asked. @param rest those that stand behind it */
  answered: (rest: readonly HTMLElement[]) => void;
  choose: (id: string) => void;
}

/** What asks for something on the page. */
const QUESTIONS = '.hole-question, .hole-button';

/** A hole as it stands in the text: a button to its note, or, for a blank, the question itself. */
export function holeElement(
  { id, kind, label }: { id: string; kind: string; label: string },
  options: HoleOptions,
): HTMLElement {
  const element = document.createElement('span');
  element.className = 'hole';
  element.dataset.id = id;
  element.contentEditable = 'false';
  const type = kind === 'blank' ? options.blankType(label, id) : undefined;
  element.append(
    ...(type && type.kind !== 'long text'
      ? question({ id, name: label }, type, options)
      : [button(id, label, options)]),
  );
  return element;
}

function button(id: string, label: string, { choose }: HoleOptions): HTMLElement {
  const element = document.createElement('button');
  element.type = 'button';
  element.className = 'hole-button';
  element.textContent = label;
  element.setAttribute('aria-label', `Missing: ${label}`);
  element.addEventListener('click', () => choose(id));
  return element;
}

/** The field of a blank, what picks its answer where that is a day, and where it says what it expected. */
function question(
  { id, name }: { id: string; name: string },
  type: BlankType,
  { answer, answered }: HoleOptions,
): HTMLElement[] {
  const field = type.kind === 'choice' || type.kind === 'yes/no' ? choices(name, type) : input(name, type);
  field.className = 'hole-question';
  field.setAttribute('aria-label', name);
  const said = document.createElement('span');
  said.className = 'hole-said';
  said.setAttribute('role', 'alert');
  let given = '';
  // A choice gone through by keys is whole before it is: it is taken when it is left.
  let byKeys = false;
  const take = (): boolean => {
    if (field.value === given || !field.value.trim()) return false;
    given = field.value;
    const expected = answer(name, field.value, id);
    field.setAttribute('aria-invalid', String(expected !== undefined));
    said.textContent = expected === undefined ? '' : `Write ${expected}.`;
    return expected === undefined;
  };
  /** Takes the answer and goes on to the next question. */
  const takeAndGoOn = () => {
    const rest = questionsBehind(field);
    if (take()) answered(rest);
  };
  field.addEventListener('change', () => {
    if (!byKeys) takeAndGoOn();
  });
  field.addEventListener('blur', () => {
    byKeys = false;
    take();
  });
  field.addEventListener('pointerdown', () => (byKeys = false));
  field.addEventListener('keydown', (event) => {
    byKeys = true;
    const { key, shiftKey } = event as KeyboardEvent;
    // What does not fit is told once, and can be left.
    const isLeft = key === 'Tab' && !shiftKey && field.value.trim() && field.value !== given;
    if (key !== 'Enter' && !isLeft) return;
    event.preventDefault();
    takeAndGoOn();
  });
  if (type.kind !== 'date') return [field, said];
  const picker = dayPicker(`Pick: ${name}`, (day) => {
    field.value = day;
    takeAndGoOn();
  });
  return [field, picker, said];
}

/** The questions of the page that stand behind one. */
function questionsBehind(field: HTMLElement): HTMLElement[] {
  const all = field.closest('[role=textbox]')?.querySelectorAll<HTMLElement>(QUESTIONS) ?? [];
  return [...all].filter((one) => field.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING);
}

function input(name: string, { kind }: BlankType): HTMLInputElement {
  const field = document.createElement('input');
  field.type = 'text';
  field.autocomplete = 'off';
  if (kind === 'money' || kind === 'number') field.inputMode = 'decimal';
  field.placeholder = name;
  field.size = Math.max(8, Math.min(28, name.length));
  return field;
}

function choices(name: string, type: BlankType): HTMLSelectElement {
  const field = document.createElement('select');
  field.add(new Option(name, ''));
  for (const one of type.kind === 'choice' ? type.of : ['yes', 'no']) field.add(new Option(one, one));
  return field;
}
