/** "at 10:20", "on 3 October". @param at milliseconds */
export function whenKept(at: number): string {
  const moment = new Date(at);
  const today = moment.toDateString() === new Date().toDateString();
  return today
    ? `at ${moment.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
    : `on ${moment.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}`;
}
