import { PlanProblem } from '@keep-snug/core';
import { pageGrid, tiledPages, type Paper, type TrueSize } from '@keep-snug/core/paper';
import { drawing, pdfOf, POINTS_PER_MM, READING } from './pdf';

/** More pages than this nobody lays together on a floor; a plan of many metres would be thousands. */
const MOST_SHEETS = 40;

/**
 * A true-size drawing over as many pages as it takes, to be laid together by their register marks.
 *
 * @throws PlanProblem where it takes more than MOST_SHEETS, with what would help
 */
export function tiledPdf(sheet: TrueSize, paper: Paper): Promise<Uint8Array> {
  const { page, columns, rows } = pageGrid(sheet, paper);
  if (columns * rows > MOST_SHEETS) throw tooMany(columns * rows, paper);
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

const tooMany = (sheets: number, paper: Paper): PlanProblem =>
  new PlanProblem([
    {
      path: 'paper',
      message: `${sheets} sheets of ${paper} at true size, and ${MOST_SHEETS} are the most. Save the pattern instead: its drawing bears the measures. Or make the piece smaller.`,
    },
  ]);
