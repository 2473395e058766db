import type { Grey, Point } from '@keep-snug/core/photograph';
import { paintedSmall } from '@/platform/canvas';

/** The longer side at which a picture is looked at, px: more tells no more of an edge, and takes its time. */
const SIDE = 1600;

/** A picture as it is shown and as it is looked at. It stays in this page. */
export interface Picture {
  uri: string;
  grey: Grey;
}

/**
 * Opens a picture's file.
 * @throws Error where this browser cannot read it as a picture
 */
export async function openPicture(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file);
  const { canvas, paint } = paintedSmall(bitmap, bitmap, SIDE, true);
  bitmap.close();
  const { width, height } = canvas;
  return { uri: canvas.toDataURL('image/jpeg', 0.85), grey: greyOf(paint.getImageData(0, 0, width, height)) };
}

/** Brightness as the eye weighs colours. */
export function greyOf({ width, height, data }: Pick<ImageData, 'width' | 'height' | 'data'>): Grey {
  const grey = new Float32Array(width * height);
  for (let index = 0; index < grey.length; index += 1)
    grey[index] = 0.299 * data[4 * index]! + 0.587 * data[4 * index + 1]! + 0.114 * data[4 * index + 2]!;
  return { width, height, data: grey };
}

/** Where a card's corners are laid before anybody has pointed at them: in the middle, as large as one often is. */
export function firstCorners({ width, height }: Grey): Point[] {
  const [w, h] = [0.3 * width, 0.19 * width];
  const [x, y] = [0.35 * width, Math.min(0.3 * height, height - h)];
  return [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ];
}

/** Where the marks of a length lie at first: below the card, across the middle. */
export const firstMarks = ({ width, height }: Grey): Point[] => [
  [0.3 * width, 0.7 * height],
  [0.7 * width, 0.7 * height],
];

/** Where an outline runs at first, to be drawn out to the thing: its corners and the middles of its sides. */
export function firstOutline({ width, height }: Grey): Point[] {
  const [x, y, w, h] = [0.3 * width, 0.55 * height, 0.4 * width, 0.3 * height];
  const around: Point[] = [
    [0, 0],
    [0.5, 0],
    [1, 0],
    [1, 0.5],
    [1, 1],
    [0.5, 1],
    [0, 1],
    [0, 0.5],
  ];
  return around.map(([across, down]) => [x + across * w, y + down * h]);
}
