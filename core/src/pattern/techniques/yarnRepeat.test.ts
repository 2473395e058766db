import { STITCHES, stitchPattern } from '../../craft/fabric';
import { tonesOf } from '../../drawing/portrait';
import { laidCloth } from './laid';
import { yarnRepeat } from './yarnRepeat';

const EVERY = STITCHES.flatMap(({ id }) => [
  [id, 'rows', true],
  [id, 'rounds', false],
]) as readonly [string, string, boolean][];

describe.each(EVERY)('the repeat of %s in %s', (id, _, turned) => {
  const tile = yarnRepeat(id, undefined, turned);
  const pattern = stitchPattern(id);

  it('is as wide as the repeat, and shows both sides of rows that are turned', () => {
    expect(tile.columns).toBe((turned ? pattern.rows : pattern.rounds).repeat);
    expect(tile.rows % pattern.rowsInRepeat).toBe(0);
    expect(tile.rows % 2).toBe(0);
    expect(tile.floors.at(-1)).toBeCloseTo(tile.high, 6);
  });

  it('is drawn of yarn', () => {
    expect(tile.strokes.length).toBeGreaterThan(3);
    expect(tile.strokes.map(({ d }) => d).join('')).not.toMatch(/NaN|Infinity/);
  });

  it('is laid out once', () => expect(yarnRepeat(id, undefined, turned)).toBe(tile));

  it('has a stitch or a chain over every column', () => {
    const { stitches } = laidCloth(pattern, {
      columns: 4 * tile.columns + (turned ? pattern.rows : pattern.rounds).edge,
      rows: tile.rows,
      turningChainCounts: false,
      turned,
    });
    const top = stitches.filter(({ row, beside }) => row === tile.rows && !beside);
    const columns = top.reduce((sum, { place }) => sum + place.columns, 0);
    expect(columns).toBe(4 * tile.columns + (turned ? pattern.rows : pattern.rounds).edge);
  });
});

it('a net’s rounds stand over the middles of the loops below', () => {
  const { stitches } = laidCloth(stitchPattern('net'), {
    columns: 20,
    rows: 3,
    turningChainCounts: false,
    turned: false,
  });
  const held = stitches.filter(({ row, one }) => row === 3 && one.do === 'work');
  expect(held.every(({ top, foot }) => Math.abs(foot.x - top.x) > 1)).toBe(true);
});

describe('the tones of a yarn', () => {
  const light = (hex: string) =>
    parseInt(hex.slice(1, 3), 16) + parseInt(hex.slice(3, 5), 16) + parseInt(hex.slice(5), 16);

  it.each(['#000000', '#1B2430', '#2F6B58', '#DDD2BC', '#FFFFFF'])('keep the stitches of %s apart', (hex) => {
    const { deep, body, light: shine } = tonesOf(hex);
    expect(light(body) - light(deep)).toBeGreaterThan(20);
    expect(light(shine)).toBeGreaterThanOrEqual(light(body));
  });
});
