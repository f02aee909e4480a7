import type { TodayCard } from '../contract/today';

/** What is known of a card to put it in order. */
export type WaitingCard = Pick<TodayCard, 'act' | 'start' | 'template' | 'whose'>;

/**
 * The letter to read after one: the next of the same act, so that all reminders come one after the other; then the first of
 * another, and at last what was passed over. Only what is one's own, and has a letter ready.
 * @param after `invoice:LPC-1048`: where the one that is written starts from
 */
export function nextWaiting<Card extends WaitingCard>(
  cards: readonly Card[],
  after: string,
): Card | undefined {
  const at = cards.findIndex((card) => startOf(card) === after);
  const act = cards[at]?.act;
  const mine = (card: Card) => card.template && card.whose === undefined && startOf(card) !== after;
  return (
    cards.slice(at + 1).find((card) => mine(card) && card.act === act) ??
    cards.find((card) => mine(card) && card.act !== act) ??
    cards.find(mine)
  );
}

function startOf({ start: { kind, key } }: WaitingCard): string {
  return `${kind}:${key}`;
}
