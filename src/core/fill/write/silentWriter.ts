import { LineWriter } from './lineWriter';
import type { PageWriter } from './writer';

/** Writes nothing: for fillings that are only asked what is missing. */
export class SilentWriter extends LineWriter implements PageWriter {
  override literal(): void {}
  override value(): void {}
  override lineBreak(): void {}
  override image(): void {}
  beginBlock(): void {}
  endBlock(): void {}
  rule(): void {}
}
