/**
 * Paints a picture, or a frame of the camera, so small that its longer side is no longer than that.
 *
 * @param longest pixels of the longer side, at most
 * @param isRead whether its pixels are read back
 */
export function paintedSmall(
  source: CanvasImageSource,
  size: { width: number; height: number },
  longest: number,
  isRead = false,
): { canvas: HTMLCanvasElement; paint: CanvasRenderingContext2D } {
  const scale = Math.min(1, longest / Math.max(size.width, size.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(size.width * scale));
  canvas.height = Math.max(1, Math.round(size.height * scale));
  const paint = canvas.getContext('2d', isRead ? { willReadFrequently: true } : {})!;
  paint.drawImage(source, 0, 0, canvas.width, canvas.height);
  return { canvas, paint };
}
