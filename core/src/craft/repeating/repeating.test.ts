import fc from 'fast-check';
import { normals, seeded } from '../fit';
import {
  effectOf,
  holdsOf,
  inStitches,
  nearestRest,
  repeatGrid,
  runAt,
  slopeOf,
  startsOf,
  sumOf,
  type Turning,
} from '.';

/** The yarn of the example: a sum that is ours to add. */
const RUNS = [3, 12, 5, 14];

const anyRuns = fc.array(fc.double({ min: 1, max: 30, noNaN: true }), { minLength: 1, maxLength: 6 });
const turnings = fc.constantFrom<Turning>('spiral', 'joined', 'rows');

describe('rounds in a spiral', () => {
  it('of 34 stack, of 33 and 35 drift to opposite sides', () => {
    expect(sumOf(RUNS)).toBe(34);
    expect(effectOf(34, RUNS, 'spiral')).toMatchObject({ effect: 'stacked', drift: 0, every: 1 });
    expect(effectOf(35, RUNS, 'spiral')).toMatchObject({ effect: 'spiral-right', drift: 1, every: 1 });
    expect(effectOf(33, RUNS, 'spiral')).toMatchObject({ effect: 'spiral-left', drift: -1, every: 1 });
  });

  it('are seen mirrored by the left hand', () => {
    expect(effectOf(35, RUNS, 'spiral', true).effect).toBe('spiral-left');
    expect(effectOf(33, RUNS, 'spiral', true).effect).toBe('spiral-right');
  });

  it('that are a part of the sum come back after as many rounds; larger shifts scatter', () => {
    expect(effectOf(17, RUNS, 'spiral')).toMatchObject({ effect: 'stacked', every: 2 });
    expect(effectOf(43, RUNS, 'spiral').effect).toBe('scattered');
  });

  it('joined, they stack on one less: the joining stitch takes yarn too', () => {
    expect(effectOf(33, RUNS, 'joined').effect).toBe('stacked');
    expect(effectOf(34, RUNS, 'joined').effect).toBe('spiral-right');
  });
});

describe('rows', () => {
  it('come back every second row where two of them and their turns are the sum', () => {
    expect(effectOf(16.5, RUNS, 'rows')).toMatchObject({ effect: 'stacked', every: 2 });
    expect(effectOf(33.5, RUNS, 'rows')).toMatchObject({ effect: 'stacked', every: 2 });
  });

  it('a little off they make a plaid, whichever way', () => {
    expect(effectOf(17, RUNS, 'rows').effect).toBe('plaid');
    expect(effectOf(16, RUNS, 'rows').effect).toBe('plaid');
    expect(effectOf(24, RUNS, 'rows').effect).toBe('scattered');
  });
});

it('the nearest rest is a rest, and no other is nearer to nothing', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -500, max: 500, noNaN: true }),
      fc.double({ min: 0.5, max: 90, noNaN: true }),
      (value, whole) => {
        const rest = nearestRest(value, whole);
        const times = (value - rest) / whole;
        expect(Math.abs(times - Math.round(times))).toBeLessThan(1e-6);
        expect(Math.abs(rest)).toBeLessThanOrEqual(whole / 2 + 1e-9);
      },
    ),
  );
});

it('a round more or less of the sum changes nothing of the effect', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 6, max: 80 }),
      fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 5 }),
      turnings,
      (count, runs, turning) => {
        const [now, more] = [effectOf(count, runs, turning), effectOf(count + sumOf(runs), runs, turning)];
        expect(more.effect).toBe(now.effect);
        expect(more.drift).toBeCloseTo(now.drift, 6);
      },
    ),
  );
});

it('rises the flatter the more it moves', () => {
  expect(slopeOf(1, 5, 5)).toBeCloseTo(45);
  expect(slopeOf(-1, 5, 5)).toBeCloseTo(45);
  expect(slopeOf(3, 5, 5)).toBeLessThan(slopeOf(1, 5, 5));
  expect(slopeOf(0, 5, 5)).toBe(90);
});

it('what is not turned leans against the work and takes its colours along; rows do not', () => {
  // columns of stitches lean, so that columns of colour do; a stitch back is less steep to that side than a stitch on to the other
  expect(effectOf(34, RUNS, 'spiral').seen).toBeCloseTo(0.4);
  expect(effectOf(35, RUNS, 'spiral').seen).toBeCloseTo(1.4);
  expect(effectOf(33, RUNS, 'spiral').seen).toBeCloseTo(-0.6);
  expect(effectOf(33, RUNS, 'joined').seen).toBeCloseTo(0.4);
  expect(effectOf(16, RUNS, 'rows')).toMatchObject({ effect: 'plaid', drift: -1, seen: -1 });
});

it('a sum that is a little more than the round stands upright, and is no spiral to the other side', () => {
  const runs = [3, 12, 5, 14.4];
  expect(effectOf(34, runs, 'spiral').effect).toBe('stacked');
  expect(Math.abs(effectOf(34, runs, 'spiral').seen)).toBeLessThan(0.01);
  expect(effectOf(34, [3, 12, 5, 14.8], 'spiral').effect).toBe('spiral-left');
});

/** In how many rounds a hand whose tension strays by 1 % a round is a whole stitch off: the middle of many hands. */
function halfLost(count: number): number {
  const hands = 3000;
  const z = normals(hands * 200, seeded(5));
  const lost = Array.from({ length: hands }, (_, hand) => {
    let off = 0;
    for (let round = 0; round < 200; round += 1) {
      off += 0.01 * count * z[hand * 200 + round]!;
      if (Math.abs(off) >= 1) return round + 1;
    }
    return 200;
  });
  return lost.sort((a, b) => a - b)[hands / 2]!;
}

it.each([20, 28, 36, 48, 60])('of rounds of %i half the hands are a stitch off when it says so', (count) => {
  const told = holdsOf(count);
  expect(Math.abs(told - halfLost(count))).toBeLessThanOrEqual(Math.max(1, 0.15 * told));
  expect([holdsOf(20), holdsOf(36), holdsOf(60)]).toEqual([24, 9, 4]);
});

it('runs that were measured are as many stitches as their yarn makes', () => {
  expect(
    inStitches(
      [
        { name: 'red', stitches: 5 },
        { name: 'sand', mm: 120 },
      ],
      12,
    ),
  ).toEqual([5, 10]);
});

/** The yarn gone along in small steps, stitch by stitch, as a hand would: slow, and without any law. */
function walked(counts: readonly number[], lengths: readonly number[], turn: number): number[][] {
  const STEPS = 64;
  let run = 0;
  let left = lengths[0]!;
  const go = (length: number) => {
    let to = length;
    while (to >= left - 1e-9) {
      to -= left;
      run = (run + 1) % lengths.length;
      left = lengths[run]!;
    }
    left -= to;
  };
  return counts.map((count) => {
    const line = Array.from({ length: count }, () => {
      for (let step = 0; step < STEPS / 2; step += 1) go(1 / STEPS);
      const middle = run;
      for (let step = 0; step < STEPS / 2; step += 1) go(1 / STEPS);
      return middle;
    });
    go(turn);
    return line;
  });
}

describe('the grid', () => {
  it('is the yarn gone along stitch by stitch', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 12 }),
        fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 5 }),
        turnings,
        (counts, lengths, turning) => {
          const grid = repeatGrid({ counts, lengths, turning, left: false, seed: 1, strays: 0 });
          const takes = { spiral: 0, joined: 1, rows: 0.5 }[turning];
          const brute = walked(counts, lengths, takes).map((line, course) =>
            turning === 'rows' && course % 2 === 1 ? line : [...line].reverse(),
          );
          expect(grid).toEqual(brute);
        },
      ),
    );
  });

  it('stacks where the law says so: every round like the first', () => {
    const grid = repeatGrid({
      counts: Array(20).fill(34),
      lengths: RUNS,
      turning: 'spiral',
      left: false,
      seed: 1,
      strays: 0,
    });
    for (const round of grid) expect(round).toEqual(grid[0]);
  });

  it('drifts to the right on 35: each round is the one below, a stitch on', () => {
    const grid = repeatGrid({
      counts: Array(12).fill(35),
      lengths: RUNS,
      turning: 'spiral',
      left: false,
      seed: 1,
      strays: 0,
    });
    for (let round = 1; round < grid.length; round += 1)
      expect(grid[round]!.slice(1)).toEqual(grid[round - 1]!.slice(0, -1));
  });

  it('is mirrored for the left hand, and strays with the seed', () => {
    const ask = { counts: Array(30).fill(36), lengths: RUNS, turning: 'spiral' as const, seed: 4 };
    const right = repeatGrid({ ...ask, left: false });
    expect(repeatGrid({ ...ask, left: true })).toEqual(right.map((line) => [...line].reverse()));
    expect(repeatGrid({ ...ask, left: false })).toEqual(right);
    expect(repeatGrid({ ...ask, left: false, seed: 5 })).not.toEqual(right);
  });

  it('has every place of the yarn in one run', () => {
    fc.assert(
      fc.property(anyRuns, fc.double({ min: -1000, max: 1000, noNaN: true }), (lengths, place) => {
        const run = runAt(startsOf(lengths), place);
        expect(run).toBeGreaterThanOrEqual(0);
        expect(run).toBeLessThan(lengths.length);
      }),
    );
  });
});
