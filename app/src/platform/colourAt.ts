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
  const bitmap = await createImageBitmap(file);
  const { canvas, paint } = paintedSmall(bitmap, bitmap, SIDE, true);
  bitmap.close();
  const { width, height } = canvas;
  const half = Math.max(2, Math.round(ROUND * Math.max(width, height)));
  const colourAt = (x: number, y: number): string => {
    const left = Math.max(0, Math.min(width - 1, Math.round(x * width) - half));
    const top = Math.max(0, Math.min(height - 1, Math.round(y * height) - half));
    const { data } = paint.getImageData(left, top, Math.min(2 * half, width - left), Math.min(2 * half, height - top));
    const median = (channel: number) => {
      const values = data.filter((_, index) => index % 4 === channel).sort();
      return values[Math.floor(values.length / 2)]!;
    };
    const middle = [0, 1, 2].map(median);
    const far = (pixel: number) =>
      middle.reduce((sum, one, channel) => sum + Math.abs(one - data[4 * pixel + channel]!), 0);
    let nearest = 0;
    for (let pixel = 1; pixel < data.length / 4; pixel += 1) if (far(pixel) < far(nearest)) nearest = pixel;
    return `#${[0, 1, 2].map((channel) => data[4 * nearest + channel]!.toString(16).padStart(2, '0')).join('')}`;
  };
  return { uri: canvas.toDataURL('image/jpeg', 0.85), width, height, colourAt };
}
