/** A message as what was last said tells of it. */
export interface SaidMessage {
  subject: string;
  /** milliseconds */
  at: number;
  /** whom it went to, or who wrote it */
  who: readonly string[];
  /** the member who wrote it */
  by?: string;
  /** what has become of it */
  status: string;
}

/** The last letter to a client, and the last message from them. */
export interface LastMessages {
  out?: SaidMessage;
  in?: SaidMessage;
}

const BECAME: Readonly<Record<string, string>> = {
  later: ', which has not gone yet',
  going: ', which is on its way',
  held: ', which waits for somebody',
  failed: ', which did not go',
  bounced: ', which came back',
  'may have arrived': ', which may not have arrived',
  opened: ', which was opened',
};

/**
 * What was last said, to whom and when, in a sentence or two; undefined where nothing was.
 * @param dayOf how a moment is said
 */
export function lastSaid(
  { out, in: answer }: LastMessages,
  dayOf: (moment: number) => string,
): string | undefined {
  const wrote =
    out &&
    `Last written ${dayOf(out.at)}${out.by ? ` by ${out.by}` : ''}: ${called(out)}${out.who.length ? ` to ${out.who.join(', ')}` : ''}${BECAME[out.status] ?? ''}.`;
  const heard = answer && `${answer.who[0] ?? 'They'} wrote ${dayOf(answer.at)}: ${called(answer)}.`;
  const inOrder = out && answer && answer.at < out.at ? [wrote] : [wrote, heard];
  return inOrder.filter(Boolean).join(' ') || undefined;
}

function called({ subject }: SaidMessage): string {
  return subject ? `“${subject}”` : 'a message without a subject';
}
