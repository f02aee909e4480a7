/** Something a person has to do first, said in a sentence: no stack is shown for it. */
export class Sentence extends Error {}

/** Runs the main part of a command and says what stopped it. */
export async function saying(main) {
  try {
    await main();
  } catch (error) {
    if (error?.code === 'ENOSPC') console.error('The disk is full. Make room and start again.');
    else console.error(error instanceof Sentence ? error.message : error);
    process.exit(1);
  }
}
