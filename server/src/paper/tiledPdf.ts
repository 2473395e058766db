import { pageGrid, tiledPages, type Paper, type TrueSize } from '@keep-snug/core/paper';
import { drawing, pdfOf, POINTS_PER_MM, READING } from './pdf';

/** A true-size drawing over as many pages as it takes, to be laid together by their register marks. */
export function tiledPdf(sheet: TrueSize, paper: Paper): Promise<Uint8Array> {
  const { page } = pageGrid(sheet, paper);
  const size = { width: page.width * POINTS_PER_MM, height: page.height * POINTS_PER_MM };
  return pdfOf({
    pageSize: size,
    pageMargins: 0,
    defaultStyle: { font: READING },
    info: { title: sheet.name, creator: 'Keep Snug' },
    content: tiledPages(sheet, paper).map(({ svg }, index) => ({
      ...(drawing(svg, [size.width, size.height]) as object),
      absolutePosition: { x: 0, y: 0 },
      ...(index > 0 ? { pageBreak: 'before' as const } : {}),
    })) as never,
  });
}
