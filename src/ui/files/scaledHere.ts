import { PICTURE_SIDE } from '../../core/files/limits';

/** Smaller ones are on their way before they are scaled: bytes. */
const SMALL = 600_000;

/**
 * A photograph made smaller before it is sent, without what its camera wrote into it; anything else, and what this browser cannot
 * read, as it is. The server does the same again: it takes no device's word.
 */
export async function scaledHere(file: File): Promise<Blob> {
  if (file.size < SMALL || file.type !== 'image/jpeg' || typeof OffscreenCanvas === 'undefined') return file;
  try {
    const whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const share = Math.min(1, PICTURE_SIDE / Math.max(whole.width, whole.height));
    const canvas = new OffscreenCanvas(Math.round(whole.width * share), Math.round(whole.height * share));
    canvas.getContext('2d')!.drawImage(whole, 0, 0, canvas.width, canvas.height);
    whole.close();
    const scaled = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 });
    return scaled.size < file.size ? scaled : file;
  } catch {
    return file;
  }
}
