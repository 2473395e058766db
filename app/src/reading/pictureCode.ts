import { qrReader } from './qrReader';
import { paintedSmall } from '@/platform/canvas';

/** Longer pictures are made so long before they are looked through, px. */
const LONGEST = 1800;

type Pixels = Pick<ImageData, 'width' | 'height' | 'data'>;

/** What the code in a picture says; nothing where there is none, or it cannot be read. */
export async function codeIn(picture: Pixels): Promise<string | undefined> {
  const { decodeQR } = await qrReader();
  try {
    return decodeQR(picture);
  } catch {
    return undefined;
  }
}

/** A picture, or a frame of the camera, as its pixels. */
export function pixelsOf(source: CanvasImageSource, width: number, height: number): Pixels {
  const { canvas, paint } = paintedSmall(source, { width, height }, LONGEST, true);
  return paint.getImageData(0, 0, canvas.width, canvas.height);
}

/**
 * What the code in a picture's file says.
 * @returns nothing where it is no picture, or no code in it can be read
 */
export async function codeInFile(file: Blob): Promise<string | undefined> {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    return undefined;
  }
  const pixels = pixelsOf(picture, picture.width, picture.height);
  picture.close();
  return codeIn(pixels);
}
