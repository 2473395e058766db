import { BASES, CROSS, post, STITCHES, stitchPattern } from '@keep-snug/core';
import { gridPath, windowOf } from './symbols';

const grid = { columns: 200, rows: 200, w: 12, h: 10 };
// every sign is set down at its place (M), and each of its strokes begun from there (m)
const strokes = (path: string) => path.split('m').length - 1;
const signs = (path: string) => path.split('M').length - 1;

describe('what is in view', () => {
  it('is all of a small grid and a part of a large one', () => {
    expect(windowOf({ columns: 4, rows: 3, w: 10, h: 10 }, { left: -5, top: -5, right: 400, bottom: 400 })).toEqual({
      fromColumn: 0,
      toColumn: 4,
      fromRow: 0,
      toRow: 3,
    });
    expect(windowOf(grid, { left: 600, top: 1000, right: 900, bottom: 1100 })).toEqual({
      fromColumn: 50,
      toColumn: 75,
      fromRow: 100,
      toRow: 110,
    });
  });

  it('is nothing beside it', () => {
    const { fromColumn, toColumn } = windowOf(grid, { left: 9000, top: 0, right: 9900, bottom: 50 });
    expect(toColumn - fromColumn).toBe(0);
  });
});

describe('signs', () => {
  it('are drawn for every stitch in view and for no other', () => {
    const window = windowOf(grid, { left: 0, top: 0, right: 120, bottom: 50 });
    // a cross is two strokes
    expect(strokes(gridPath(grid, window, [[CROSS]]))).toBe(10 * 5 * 2);
    expect(gridPath(grid, { fromColumn: 0, toColumn: 0, fromRow: 0, toRow: 0 }, [[CROSS]])).toBe('');
  });

  it('follow the repeat, across and from the bottom up', () => {
    const one = { columns: 2, rows: 2, w: 10, h: 10 };
    const whole = { fromColumn: 0, toColumn: 2, fromRow: 0, toRow: 2 };
    const path = gridPath(one, whole, [
      [CROSS, post(1)],
      [post(1), post(1)],
    ]);
    expect(strokes(path)).toBe(2 + 3 * 3);
    expect(signs(path)).toBe(4);
    // the last set down is at the right of the lowest row
    expect(path.slice(path.lastIndexOf('M'))).toMatch(/^M15 15m/);
  });

  it('are there for every stitch pattern, and those of different base stitches differ', () => {
    for (const { id } of STITCHES) {
      const { symbols } = stitchPattern(id, id === 'own' ? { name: 'x', repeat: 1, edge: 0, rowsInRepeat: 1 } : {});
      for (const row of symbols) {
        // a loop is one sign over all the stitches it spans
        const signs = row.map((symbol) => symbol(5, 5, 10, 10)).filter((sign) => sign !== '');
        expect(signs.length).toBeGreaterThan(0);
        for (const sign of signs) expect(sign).toMatch(/^M[\d.-]+ [\d.-]+/);
      }
    }
    const drawn = Object.values(BASES).map(({ symbol }) => symbol(5, 5, 10, 10));
    expect(new Set(drawn).size).toBe(drawn.length);
    // stitches built of others do not look like them
    const plain = stitchPattern('single').symbols.flat();
    for (const id of ['single-back-loop', 'linked-single', 'spike'])
      expect(
        stitchPattern(id)
          .symbols.flat()
          .some((symbol) => !plain.includes(symbol)),
      ).toBe(true);
  });

  it('of forty thousand stitches are made within a frame’s worth of strokes: only what is seen', () => {
    const window = windowOf(grid, { left: 300, top: 300, right: 1100, bottom: 900 });
    const seen = (window.toColumn - window.fromColumn) * (window.toRow - window.fromRow);
    expect(seen).toBeLessThan(5000);
    expect(strokes(gridPath(grid, window, [[CROSS]]))).toBe(2 * seen);
  });
});
