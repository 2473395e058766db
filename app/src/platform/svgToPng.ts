/**
 * Paints an SVG picture into a PNG by the browser’s own canvas.
 *
 * @param size of the PNG, px
 * @throws Error where the browser cannot draw it
 */
export async function svgToPng(svg: string, size: { width: number; height: number }, ground: string): Promise<Blob> {
  const picture = new Image(size.width, size.height);
  const href = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    picture.src = href;
    await picture.decode();
    const canvas = document.createElement('canvas');
    canvas.width = size.width;
    canvas.height = size.height;
    const paint = canvas.getContext('2d')!;
    paint.fillStyle = ground;
    paint.fillRect(0, 0, size.width, size.height);
    paint.drawImage(picture, 0, 0, size.width, size.height);
    return await new Promise((done, fail) =>
      canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('The picture could not be made.'))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(href);
  }
}
