import { element, svgFile, words } from './elements';
import { INKS, LETTERS } from './inks';
import { MARGIN_MM, PAPERS, type Paper } from './papers';
import type { TrueSize } from './trueSize';

/** How far neighbouring pages show the same, to be laid over each other, mm. */
const OVERLAP = 12;
/** Kept free below each page's part for its name and the bar that shows whether it was printed at its size, mm. */
const FOOT = 14;
const BAR = 50;

/** How a true-size drawing is laid over pages: their size, which way they lie, and what of it each of them shows. */
interface PageGrid {
  page: { width: number; height: number };
  /** What one page shows, mm. */
  shows: { width: number; height: number };
  columns: number;
  rows: number;
}

/** Pages needed along one side. */
const along = (whole: number, shows: number): number =>
  Math.max(1, Math.ceil((whole - OVERLAP) / (shows - OVERLAP) - 1e-9));

function gridOf({ width, height }: TrueSize, page: PageGrid['page']): PageGrid {
  const shows = { width: page.width - 2 * MARGIN_MM, height: page.height - 2 * MARGIN_MM - FOOT };
  return { page, shows, columns: along(width, shows.width), rows: along(height, shows.height) };
}

/** The pages of a drawing, standing or lying, whichever are fewer. */
export function pageGrid(drawing: TrueSize, paper: Paper): PageGrid {
  const { width, height } = PAPERS[paper];
  const standing = gridOf(drawing, { width, height });
  const lying = gridOf(drawing, { width: height, height: width });
  return lying.columns * lying.rows < standing.columns * standing.rows ? lying : standing;
}

/** Where a page's part begins in the drawing, mm. */
export const pageOrigin = ({ shows }: PageGrid, column: number, row: number) => ({
  x: column * (shows.width - OVERLAP),
  y: row * (shows.height - OVERLAP),
});

interface RegisterMark {
  x: number;
  y: number;
  name: string;
}

/** In the middle of every overlap, at a quarter and three quarters of it: the same on both pages, to be laid on each other. */
export function registerMarks(grid: PageGrid): RegisterMark[] {
  const marks: RegisterMark[] = [];
  const { shows, columns, rows } = grid;
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const { x, y } = pageOrigin(grid, column, row);
      for (const share of [0.25, 0.75]) {
        if (column + 1 < columns)
          marks.push({ x: x + shows.width - OVERLAP / 2, y: y + share * shows.height, name: '' });
        if (row + 1 < rows) marks.push({ x: x + share * shows.width, y: y + shows.height - OVERLAP / 2, name: '' });
      }
    }
  return marks.map((mark, index) => ({ ...mark, name: String(index + 1) }));
}

/** A name of its own for each page: the row as a letter, the column as a number. */
const pageName = (column: number, row: number): string => `${rowLetters(row)}${column + 1}`;

const rowLetters = (row: number): string =>
  (row >= 26 ? rowLetters(Math.floor(row / 26) - 1) : '') + String.fromCharCode(65 + (row % 26));

const THIN = { fill: 'none', stroke: INKS.thread, 'stroke-width': 0.3 } as const;

const markDrawn = ({ x, y, name }: RegisterMark): string =>
  element('circle', { cx: x, cy: y, r: 2.5, ...THIN }) +
  element('path', { d: `M${x - 4} ${y}H${x + 4}M${x} ${y - 4}V${y + 4}`, ...THIN }) +
  words(name, { x: x + 3, y: y - 3, 'font-family': LETTERS, 'font-size': 3.2, fill: INKS.thread });

interface TiledPage {
  name: string;
  svg: string;
}

/**
 * A true-size drawing over as many pages as it takes, each with register marks that meet those of its neighbours and a
 * bar to measure whether it was printed at its size.
 *
 * @returns a page each as an SVG file of the page’s size
 * @source handbook 11
 */
export function tiledPages(drawing: TrueSize, paper: Paper): TiledPage[] {
  const grid = pageGrid(drawing, paper);
  const marks = registerMarks(grid);
  return Array.from({ length: grid.rows }, (_, row) =>
    Array.from({ length: grid.columns }, (_column, column) => ({
      name: pageName(column, row),
      svg: pageSvg(drawing, grid, marks, column, row),
    })),
  ).flat();
}

function pageSvg(
  drawing: TrueSize,
  grid: PageGrid,
  marks: readonly RegisterMark[],
  column: number,
  row: number,
): string {
  const { page, shows, columns, rows } = grid;
  const { x, y } = pageOrigin(grid, column, row);
  const name = pageName(column, row);
  const near = marks.filter(
    (mark) => mark.x > x && mark.x < x + shows.width && mark.y > y && mark.y < y + shows.height,
  );
  const clip = element(
    'clipPath',
    { id: 'page' },
    element('rect', { x: MARGIN_MM, y: MARGIN_MM, width: shows.width, height: shows.height }),
  );
  const part = element(
    'g',
    { 'clip-path': 'url(#page)' },
    element(
      'g',
      { transform: `translate(${MARGIN_MM - x} ${MARGIN_MM - y})` },
      drawing.drawn + near.map(markDrawn).join(''),
    ),
  );
  const foot = page.height - MARGIN_MM;
  const said = `${drawing.name}, page ${name}${columns * rows > 1 ? ` of ${columns} × ${rows}` : ''}. Print at 100 %: this bar is ${BAR} mm.`;
  return svgFile(
    { title: `${drawing.name}, page ${name}`, text: drawing.text, ...page, scale: 1 },
    clip +
      part +
      element('rect', { x: MARGIN_MM, y: MARGIN_MM, ...shows, ...THIN }) +
      words(said, { x: MARGIN_MM, y: foot - 6, 'font-family': LETTERS, 'font-size': 3.6, fill: INKS.line }) +
      element('path', {
        d: `M${MARGIN_MM} ${foot - 2}h${BAR}M${MARGIN_MM} ${foot - 4}v4M${MARGIN_MM + BAR} ${foot - 4}v4`,
        ...THIN,
        stroke: INKS.line,
      }),
  );
}
