/** Pause after a failure of our own, in milliseconds. */
const AFTER_FAILURE = 5_000;

/** Does work as long as there is some, and looks for more after a pause. No error ends it: what failed is looked at again. */
export class Lookout {
  readonly #work: () => Promise<boolean>;
  readonly #pause: number;
  readonly #failed: string;
  #stopping = false;
  #wake = () => {};

  /**
   * @param work does the next of it; gives whether there was any
   * @param pause how long nothing is looked for when there was none, in milliseconds
   * @param failed what is said in the log before an error
   */
  constructor(work: () => Promise<boolean>, { pause, failed }: { pause: number; failed: string }) {
    this.#work = work;
    this.#pause = pause;
    this.#failed = failed;
  }

  /** Works until it is stopped. */
  async run(): Promise<void> {
    while (!this.#stopping) {
      let pause = this.#pause;
      try {
        while (!this.#stopping && (await this.#work()));
      } catch (error) {
        console.error(this.#failed, error);
        pause = AFTER_FAILURE;
      }
      if (!this.#stopping)
        await new Promise<void>((resolve) => {
          const timer = setTimeout(resolve, pause);
          this.#wake = () => {
            clearTimeout(timer);
            resolve();
          };
        });
    }
  }

  /** Ends after the work in hand. */
  stop(): void {
    this.#stopping = true;
    this.#wake();
  }
}
