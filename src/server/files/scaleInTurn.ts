import { NoPicture, scalePicture, type ScaledPicture } from './scalePicture';

/** Pictures are opened one after another: several large ones at once would take all the memory there is. */
let turn: Promise<unknown> = Promise.resolve();
let waiting = 0;
const MOST_WAITING = 10;

/** Scales a picture when it is its turn. @throws NoPicture, also when too many wait */
export async function scaleInTurn(...given: Parameters<typeof scalePicture>): Promise<ScaledPicture> {
  if (waiting >= MOST_WAITING)
    throw new NoPicture('Many pictures are being brought in at the moment. Try again.');
  waiting++;
  const scaling = turn.then(() => scalePicture(...given)).finally(() => waiting--);
  turn = scaling.catch(() => undefined);
  return scaling;
}
