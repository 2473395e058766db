import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import {
  cuttingSheet,
  outlineOf,
  pageGrid,
  PAPERS,
  pageOrigin,
  registerMarks,
  tiledPages,
  trueSizeSvg,
  viewSvg,
  MARGIN_MM,
  type Paper,
} from '.';

const PLANS = Object.values(TERN_POINT.plans);
const WORKED = PLANS.map((plan) => reckon(plan));

/** What of an SVG no reader of XML would stumble on: every element closed in its order. */
function wellFormed(svg: string): void {
  const open: string[] = [];
  for (const [, closing, name, rest] of svg.matchAll(/<(\/?)([a-zA-Z]+)((?:[^>"]|"[^"]*")*)>/g)) {
    if (closing) expect(open.pop()).toBe(name);
    else if (!rest!.endsWith('/')) open.push(name!);
  }
  expect(open).toEqual([]);
  expect(svg).not.toMatch(/NaN|Infinity|undefined|\{\w+[:}]/);
}

const numberOf = (svg: string, name: string) => Number(new RegExp(` ${name}="([\\d.]+)mm"`).exec(svg)![1]);

describe('a view as a picture of its own', () => {
  it('is well formed, has its title and its words inside, for every sample in either size, unit and hand', () => {
    for (const [index, { views, title }] of WORKED.entries())
      for (const view of views)
        for (const size of ['true', 'fit'] as const) {
          const reads =
            index % 2 ? ({ units: 'in', hand: 'left' } as const) : ({ units: 'cm', hand: 'right' } as const);
          const svg = viewSvg(view, title, reads, size);
          wellFormed(svg);
          expect(svg).toContain(`${view.name}</title>`);
          expect(svg).toContain('<desc>');
        }
  });

  it('a section at its true size is as wide as the view says', () => {
    for (const { views, title } of WORKED) {
      const [view] = views;
      const cloth = view!.parts.find((part) => part.type === 'cloth' && (part.form ?? 'rect') === 'rect');
      if (cloth?.type !== 'cloth') continue;
      const svg = viewSvg(view!, title, { units: 'mm', hand: 'right' }, 'true');
      const wide = Number(/<rect[^>]* width="([\d.]+)"/.exec(svg)![1]);
      const perMm = Number(/viewBox="0 0 ([\d.]+)/.exec(svg)![1]) / numberOf(svg, 'width');
      expect(wide / perMm).toBeCloseTo(cloth.w, 1);
    }
  });

  it('a view made to fit goes on one sheet of either paper', () => {
    for (const { views, title } of WORKED) {
      const svg = viewSvg(views[0]!, title, { units: 'mm', hand: 'right' }, 'fit');
      for (const { width, height } of Object.values(PAPERS)) {
        expect(numberOf(svg, 'width')).toBeLessThanOrEqual(height - 2 * MARGIN_MM);
        expect(numberOf(svg, 'height')).toBeLessThanOrEqual(width - 2 * MARGIN_MM);
      }
    }
  });

  it('no title breaks out of it', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (title) => {
        const svg = viewSvg(WORKED[0]!.views[0]!, `${title}<&"'>`, { units: 'mm', hand: 'right' }, 'fit');
        wellFormed(svg);
      }),
    );
  });
});

describe('true size over several pages', () => {
  const drawing = (width: number, height: number) => ({ name: 'x', text: '', width, height, drawn: '<g/>' });
  const sizes = fc.record({
    width: fc.double({ min: 1, max: 3000, noNaN: true }),
    height: fc.double({ min: 1, max: 3000, noNaN: true }),
    paper: fc.constantFrom<Paper>('A4', 'Letter'),
  });

  it('every place of the drawing is on a page, and no page is empty', () => {
    fc.assert(
      fc.property(sizes, fc.double({ min: 0, max: 1, noNaN: true }), ({ width, height, paper }, share) => {
        const grid = pageGrid(drawing(width, height), paper);
        const covers = (origin: number, shown: number, at: number) =>
          at >= origin - 1e-6 && at <= origin + shown + 1e-6;
        const columns = Array.from({ length: grid.columns }, (_, column) => pageOrigin(grid, column, 0).x);
        const rows = Array.from({ length: grid.rows }, (_, row) => pageOrigin(grid, 0, row).y);
        expect(columns.some((x) => covers(x, grid.shows.width, share * width))).toBe(true);
        expect(rows.some((y) => covers(y, grid.shows.height, share * height))).toBe(true);
        expect(Math.max(...columns)).toBeLessThan(width);
        expect(Math.max(...rows)).toBeLessThan(height);
      }),
    );
  });

  it('every register mark is on two neighbours, so that they meet', () => {
    fc.assert(
      fc.property(sizes, ({ width, height, paper }) => {
        const grid = pageGrid(drawing(width, height), paper);
        const marks = registerMarks(grid);
        const { columns, rows, shows } = grid;
        expect(marks).toHaveLength(2 * ((columns - 1) * rows + (rows - 1) * columns));
        const pages = Array.from({ length: columns * rows }, (_, index) =>
          pageOrigin(grid, index % columns, Math.floor(index / columns)),
        );
        for (const { x, y } of marks) {
          const on = pages.filter(
            (page) => x > page.x && x < page.x + shows.width && y > page.y && y < page.y + shows.height,
          );
          expect(on.length).toBeGreaterThanOrEqual(2);
        }
        expect(new Set(marks.map(({ name }) => name)).size).toBe(marks.length);
      }),
    );
  });

  it('the samples’ outlines: a page each, named by row and column, of the paper’s size, with a bar to measure', () => {
    for (const { views, title } of WORKED) {
      const outline = outlineOf(views[0]!, title, 'right');
      wellFormed(trueSizeSvg(outline));
      const pages = tiledPages(outline, 'A4');
      const { columns, rows, page } = pageGrid(outline, 'A4');
      expect(pages).toHaveLength(columns * rows);
      expect(new Set(pages.map(({ name }) => name)).size).toBe(pages.length);
      for (const { svg, name } of pages) {
        wellFormed(svg);
        expect(numberOf(svg, 'width')).toBeCloseTo(page.width);
        expect(svg).toContain(`page ${name}`);
        expect(svg).toContain('h50');
      }
    }
  });

  it('lies down where that takes fewer pages', () => {
    const { page, columns, rows } = pageGrid(drawing(250, 150), 'A4');
    expect([page.width, columns, rows]).toEqual([297, 1, 1]);
  });
});

describe('the cutting sheet', () => {
  it('is there where a lining is, as large as its pattern says', () => {
    const lined = WORKED.filter(({ fittings }) => fittings.some(({ kind }) => kind === 'lining'));
    expect(lined.length).toBeGreaterThan(0);
    for (const worked of lined) {
      const sheet = cuttingSheet(worked, 'mm')!;
      const { wide, long } = worked.fittings.find(({ kind }) => kind === 'lining')!.figures;
      expect(sheet.width - wide!.value).toBeGreaterThanOrEqual(0);
      expect(sheet.width - wide!.value).toBeLessThan(5);
      expect(sheet.height - long!.value).toBeLessThan(5);
      expect(worked.steps.some(({ text }) => text.includes(`${sheet.width} mm × ${sheet.height} mm`))).toBe(true);
      expect(sheet.text).toContain(`${sheet.width} mm`);
      wellFormed(trueSizeSvg(sheet));
    }
  });

  it('is not there without a lining', () => {
    const bare = WORKED.find(({ fittings }) => fittings.every(({ kind }) => kind !== 'lining'))!;
    expect(cuttingSheet(bare, 'mm')).toBeNull();
  });
});
