import { SIGNS } from '../shell/signs';

/**
 * A button beside a field for a day that opens the device's own calendar.
 * @param label what its press does
 * @param onPick takes the day, ISO 8601
 */
export function dayPicker(label: string, onPick: (day: string) => void): HTMLElement {
  const holder = document.createElement('span');
  holder.className = 'day-picker';
  // What is picked from stands behind the button, where the calendar opens; it is never typed into.
  const field = document.createElement('input');
  field.type = 'date';
  field.tabIndex = -1;
  field.setAttribute('aria-hidden', 'true');
  field.addEventListener('change', () => {
    if (field.value) onPick(field.value);
  });
  const button = document.createElement('button');
  button.type = 'button';
  // Whoever goes by keys types the day: the next stop is what comes behind.
  button.tabIndex = -1;
  button.setAttribute('aria-label', label);
  button.innerHTML = `<svg viewBox="0 0 16 16" width="1em" height="1em" fill="currentColor" aria-hidden="true"><path d="${SIGNS.calendar3}"/></svg>`;
  button.addEventListener('click', () => {
    try {
      field.showPicker();
    } catch {
      // A browser without one focuses the field, which can be typed into.
      field.focus();
    }
  });
  holder.append(field, button);
  return holder;
}
