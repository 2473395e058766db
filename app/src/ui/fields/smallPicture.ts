import { paintedSmall } from '@/platform/canvas';

/** The longer side of a kept picture, px, and how many letters it may take; smaller until it does. */
const SIDE = 640;
const MOST_LETTERS = 90_000;
const SMALLEST = 120;

/**
 * A picture made small enough to be kept with its make, as a JPEG in a data URI.
 * @throws Error where the file is no picture that this browser reads
 */
export async function smallPicture(file: Blob): Promise<string> {
  const bitmap = await createImageBitmap(file);
  try {
    for (let side = SIDE; side >= SMALLEST; side *= 0.75) {
      const uri = drawn(bitmap, side);
      if (uri.length <= MOST_LETTERS) return uri;
    }
  } finally {
    bitmap.close();
  }
  throw new Error('too detailed to be made small');
}

function drawn(bitmap: ImageBitmap, side: number): string {
  return paintedSmall(bitmap, bitmap, side).canvas.toDataURL('image/jpeg', 0.7);
}

/** What is drawn as a picture must be one: anything else that stands in its place is left out. */
export const isPicture = (uri: string | undefined): uri is string => /^data:image\/jpeg;base64,/.test(uri ?? '');
