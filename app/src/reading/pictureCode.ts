import { qrReader } from './qrReader';

/** Longer pictures are made so long before they are looked through, px. */
const LONGEST = 1800;

export type Pixels = Pick<ImageData, 'width' | 'height' | 'data'>;

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
  const scale = Math.min(1, LONGEST / Math.max(width, height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const paint = canvas.getContext('2d', { willReadFrequently: true })!;
  paint.drawImage(source, 0, 0, canvas.width, canvas.height);
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
