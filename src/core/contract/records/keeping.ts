import type { Refusal } from '../refusal';

/** What came of keeping a record's facts. @typeParam Facts those that the form writes, with their version */
export type Keeping<Facts> =
  /** @property key of a record that was new */
  | { result: 'kept'; version: number; key?: string }
  /** somebody else kept others meanwhile: they come along */
  | { result: 'overtaken'; now: Facts }
  | { result: 'gone' }
  /** it is kept once somebody has been at another address, and come back */
  | { result: 'elsewhere'; to: string }
  /** a fact cannot be as it was written */
  | { result: 'wrong'; field: string; error: string };

/** What is answered to it. */
export type KeptAnswer<Facts> =
  | Extract<Keeping<Facts>, { result: 'kept' | 'overtaken' | 'elsewhere' }>
  | (Omit<Refusal, 'result'> & { result?: 'gone' | 'wrong' });
