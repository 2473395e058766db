import { paintedSmall } from './canvas';

/** A picture to point at, kept small; its pixels are read where it is pointed at. */
export interface PointedPicture {
  uri: string;
  width: number;
  height: number;
  /** The colour nearest to the median about a point, shares of its width and height, as #rrggbb: one that is there. */
  colourAt: (x: number, y: number) => string;
}

/** The longer side of what is read, px, and how far round a point it is read, as a share of that. */
const SIDE = 480;
const ROUND = 0.035;

/**
 * Opens a picture to be pointed at.
 *
 * @throws Error where the file is no picture that this browser reads
 */
export async function pointedPicture(file: Blob): Promise<PointedPicture> {
  // what tells colours apart comes when the first is picked
  const [bitmap, { medianColour }] = await Promise.all([createImageBitmap(file), import('./medianColour')]);
  const { canvas, paint } = paintedSmall(bitmap, bitmap, SIDE, true);
  bitmap.close();
  const { width, height } = canvas;
  const half = Math.max(2, Math.round(ROUND * Math.max(width, height)));
  const colourAt = (x: number, y: number): string => {
    const left = Math.max(0, Math.min(width - 1, Math.round(x * width) - half));
    const top = Math.max(0, Math.min(height - 1, Math.round(y * height) - half));
    const { data } = paint.getImageData(left, top, Math.min(2 * half, width - left), Math.min(2 * half, height - top));
    return medianColour(data);
  };
  return { uri: canvas.toDataURL('image/jpeg', 0.85), width, height, colourAt };
}
