import type { Cloth, DrawnRound } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { COLOURS } from '@/theme/colours';
import { roundInk } from './rounds';

const SEEN = { left: -1e4, top: -1e4, right: 1e4, bottom: 1e4 };

function cloth(rounds: readonly DrawnRound[], more: Partial<Cloth> = {}, high?: number): Cloth {
  const count = rounds.length;
  return {
    type: 'cloth',
    role: 'base',
    x: 10,
    y: 20,
    w: 100,
    h: 100,
    label: '',
    sub: '',
    rows: { count, stacked: 'out', stitches: 1, rounds, ...(high ? { high } : {}) },
    ...more,
  };
}

const ink = (scale: number) => ({ scale, colours: COLOURS.light });

/** Every sign of what is drawn: where it is set down. */
function signs(drawn: ReactElement | null): [number, number][] {
  const paths = (drawn?.props as { children: (ReactElement<{ d: string }> | null)[] } | undefined)?.children ?? [];
  return paths.flatMap((path) =>
    [...(path?.props.d ?? '').matchAll(/M(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]): [number, number] => [
      Number(x),
      Number(y),
    ]),
  );
}

const singles = (...counts: number[]): DrawnRound[] => counts.map((count) => ({ stitch: 'single', count }));

describe('rounds zoomed in on', () => {
  it('of a disc stand as many as there are, each on its own circle', () => {
    const drawn = signs(roundInk(cloth(singles(6, 12, 18)), ink(4), SEEN, 'k'));
    expect(drawn).toHaveLength(36);
    const far = drawn.map(([x, y]) => Math.hypot(x - 240, y - 280));
    const high = 200 / 3;
    far.forEach((r, index) => expect(r).toBeCloseTo((index < 6 ? 0.5 : index < 18 ? 1.5 : 2.5) * high, 0));
  });

  it('of an oval stand along both its sides and around its ends', () => {
    const part = cloth(singles(40, 46), { w: 160, h: 40 });
    const drawn = signs(roundInk(part, ink(10), SEEN, 'k'));
    expect(drawn).toHaveLength(86);
    for (const [x, y] of drawn) {
      expect(x).toBeGreaterThanOrEqual(100);
      expect(x).toBeLessThanOrEqual(1700);
      expect(y).toBeGreaterThanOrEqual(200);
      expect(y).toBeLessThanOrEqual(600);
    }
  });

  it('of a rectangle stand along its four sides, with a chain at each corner', () => {
    const rounds: DrawnRound[] = [3, 6].map((short) => ({
      stitch: 'cluster',
      count: 2 * (2 * short + 3),
      sides: [short, short + 3, short, short + 3] as const,
    }));
    const part = cloth(rounds, { w: 60, h: 90 }, 12);
    expect(signs(roundInk(part, ink(12), SEEN, 'k'))).toHaveLength(2 * (3 + 6) + 2 * (6 + 9) + 8);
  });

  it('that narrow upwards lie within the piece', () => {
    const part = cloth(singles(20, 18, 16), { form: 'taper', top: 60 });
    const drawn = signs(roundInk(part, ink(6), SEEN, 'k'));
    expect(drawn).toHaveLength(54);
    for (const [x] of drawn) expect(Math.abs(x - 360)).toBeLessThanOrEqual(300);
  });

  it('are not drawn while they are too small, nor beyond the edge', () => {
    const disc = cloth(singles(6, 12, 18));
    expect(roundInk(disc, ink(0.1), SEEN, 'k')).toBeNull();
    const corner = { left: 0, top: 0, right: 200, bottom: 250 };
    const seen = signs(roundInk(disc, ink(4), corner, 'k'));
    expect(seen.length).toBeGreaterThan(0);
    expect(seen.length).toBeLessThan(36);
  });
});
