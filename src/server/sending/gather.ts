/**
 * Lets many callers share one piece of work: what is asked for while it runs is gathered for the next run. Each gets the
 * answer, or the error, of the run that its own was part of.
 */
export function gather<Item, Answer>(
  work: (items: readonly Item[]) => Promise<Answer>,
): (item: Item) => Promise<Answer> {
  let waiting: { item: Item; resolve: (answer: Answer) => void; reject: (error: unknown) => void }[] = [];
  let running = false;

  async function run(): Promise<void> {
    running = true;
    // What is asked for in the same breath goes together.
    await Promise.resolve();
    while (waiting.length) {
      const now = waiting;
      waiting = [];
      try {
        const answer = await work(now.map(({ item }) => item));
        for (const { resolve } of now) resolve(answer);
      } catch (error) {
        for (const { reject } of now) reject(error);
      }
    }
    running = false;
  }

  return (item) =>
    new Promise((resolve, reject) => {
      waiting.push({ item, resolve, reject });
      if (!running) void run();
    });
}
