/** "2026-03-31T09:30" of a control for a day and a time, so many minutes later by the clock on the wall; as it is where it is none. */
export function plusMinutes(local: string, minutes: number): string {
  const at = readLocal(local);
  return at === undefined ? local : new Date(at + minutes * 60_000).toISOString().slice(0, 16);
}

/** The minutes from one to the other; undefined where one is none. */
export function minutesBetween(from: string, until: string): number | undefined {
  const [a, b] = [readLocal(from), readLocal(until)];
  return a === undefined || b === undefined ? undefined : (b - a) / 60_000;
}

/** Of a time of the day, as “08:30”, the minutes since midnight. */
export function minutesOfClock(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return hours * 60 + minutes;
}

function readLocal(local: string): number | undefined {
  const at = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(local) ? Date.parse(`${local}Z`) : NaN;
  return Number.isNaN(at) ? undefined : at;
}
