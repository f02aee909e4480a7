import type { LetterForTemplate } from '../../../core/contract/fromLetter';

/** Where a letter lies that is handed to the page that makes a template of it: in this tab alone. */
const PLACE = 'fair-quill letter for a template';

/** Hands a letter over. Gives whether there is room for it. */
export function handOver(letter: LetterForTemplate): boolean {
  try {
    sessionStorage.setItem(PLACE, JSON.stringify(letter));
    return true;
  } catch {
    return false;
  }
}

/** The letter that was handed over last. Undefined: none was. */
export function handedOver(): LetterForTemplate | undefined {
  try {
    return (JSON.parse(sessionStorage.getItem(PLACE) ?? 'null') as LetterForTemplate | null) ?? undefined;
  } catch {
    return undefined;
  }
}

/** Leaves none on the device. */
export function clearHandedOver(): void {
  sessionStorage.removeItem(PLACE);
}
