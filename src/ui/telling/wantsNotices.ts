import { dropHere, keepHere, keptHere } from '../forms/keptHere';

/** Told to the page when it is settled whether this device tells of what comes in. */
export const NOTICES_SETTLED = 'fair-quill notices';

const placeOf = (owner: string) => `${owner} notices`;

/** Whether this device tells a member of what comes in. */
export function wantsNotices(owner: string): boolean {
  return (
    'Notification' in window && Notification.permission === 'granted' && keptHere(placeOf(owner)) === true
  );
}

/** Settles it for this device; it ends when they sign out. */
export function settleNotices(owner: string, wanted: boolean): void {
  if (wanted) keepHere(placeOf(owner), true);
  else dropHere(placeOf(owner));
  window.dispatchEvent(new Event(NOTICES_SETTLED));
}
