import type { BlankType } from '../../core/document/templateDocument';

export interface HoleOptions {
  /** the type of a blank by its name */
  blankType: (name: string) => BlankType;
  /** takes an answer; gives what was expected when it does not fit */
  answer: (name: string, typed: string) => string | undefined;
  /** an answer was given by a key or a press: the next question can be asked */
  answered: () => void;
  choose: (id: string) => void;
}

/** A hole as it stands in the text: a button to its note, or, for a blank, the question itself. */
export function holeElement(
  { id, kind, label }: { id: string; kind: string; label: string },
  options: HoleOptions,
): HTMLElement {
  const element = document.createElement('span');
  element.className = 'hole';
  element.dataset.id = id;
  element.contentEditable = 'false';
  const type = kind === 'blank' ? options.blankType(label) : undefined;
  element.append(
    type && type.kind !== 'long text' ? question(label, type, options) : button(id, label, options),
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

function question(name: string, type: BlankType, { answer, answered }: HoleOptions): HTMLElement {
  const field = type.kind === 'choice' || type.kind === 'yes/no' ? choices(name, type) : input(name, type);
  field.className = 'hole-question';
  field.setAttribute('aria-label', name);
  let given = '';
  // A date that is typed, and a choice gone through by keys, are whole before they are: they are taken when they are left.
  let byKeys = false;
  const take = (): boolean => {
    if (field.value === given || !field.value.trim()) return false;
    given = field.value;
    const expected = answer(name, field.value);
    field.setAttribute('aria-invalid', String(expected !== undefined));
    field.title = expected ? `Write ${expected}.` : '';
    return expected === undefined;
  };
  field.addEventListener('change', () => {
    if (!byKeys && take()) answered();
  });
  field.addEventListener('blur', () => {
    byKeys = false;
    take();
  });
  field.addEventListener('pointerdown', () => (byKeys = false));
  field.addEventListener('keydown', (event) => {
    byKeys = true;
    if ((event as KeyboardEvent).key !== 'Enter') return;
    event.preventDefault();
    if (take()) answered();
  });
  return field;
}

function input(name: string, { kind }: BlankType): HTMLInputElement {
  const field = document.createElement('input');
  field.type = 'text';
  if (kind === 'date') {
    // An empty date field would show its own pattern instead of what is asked.
    field.addEventListener('focus', () => (field.type = 'date'));
    field.addEventListener('blur', () => (field.type = field.value ? 'date' : 'text'));
  }
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
