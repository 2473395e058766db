import fc from 'fast-check';
import { averageOf, lengthBetween, outlineSizes, seeCard, type Mark, type Point, type Seen } from '.';
import { focalOf, heightOf } from './camera';
import { measuredIn, type Measured } from './fixtures/measured';
import { anyScene, cardTaps, rendered, seenAt } from './fixtures/scene';
import { homographyOf, mapped } from './homography';
import { straightened } from './lens';
import { distance, lineThrough, offLine } from './points';

const SEEDS = Array.from({ length: 10 }, (_, index) => index + 1);

describe('lengths in made-up pictures', () => {
  const all = SEEDS.flatMap((seed) => measuredIn(seed) ?? []);
  const off = ({ mm, truth }: Measured) => Math.abs(mm - truth);

  it('are within two of their spread, and never far outside of it', () => {
    expect(all.length).toBe(SEEDS.length);
    expect(all.filter((one) => off(one) <= 2 * one.sd).length).toBeGreaterThanOrEqual(8);
    for (const one of all) expect(off(one) / one.sd).toBeLessThan(4);
  });

  it('are known to a millimetre at 150 mm', () => {
    const long = all.filter(({ truth }) => truth > 100);
    const sds = long.map(({ sd, truth }) => (sd * 150) / truth).sort((a, b) => a - b);
    expect(sds[Math.floor(sds.length / 2)]).toBeLessThan(1);
    expect(sds[0]).toBeGreaterThan(0.1);
  });

  it('an outline tells both sides and how round its corners are', () => {
    for (const { outline, scene } of all) {
      const { long, wide, corner } = scene.thing;
      const [shorter, longer] = [Math.min(long, wide), Math.max(long, wide)];
      expect(Math.abs(outline.height.mm - longer) / Math.max(1, outline.height.sd)).toBeLessThan(4);
      expect(Math.abs(outline.width.mm - shorter) / Math.max(1, outline.width.sd)).toBeLessThan(4);
      expect(Math.abs(outline.corner.mm - corner)).toBeLessThan(4 * Math.max(1.5, outline.corner.sd));
    }
  });
});

it('without a height that was told, what lies high seems larger', () => {
  const scene = { tilt: 0, thing: { long: 120, wide: 50, high: 18, corner: 2, dark: 40 }, shadow: 0 };
  const right = measuredIn(5, scene)!;
  expect(Math.abs(right.mm - 120)).toBeLessThan(3 * right.sd);
});

describe('the card', () => {
  const blank = { width: 1000, height: 750, data: new Float32Array(1000 * 750).fill(120) };

  it('is where it was pointed at in a picture without an edge, and known the worse', () => {
    const taps = cardTaps({ ...anyScene(3), bend: 0 }, () => 0);
    const seen = seeCard(blank, taps) as Seen;
    expect(seen.snapped).toBe(false);
    expect(seen.corners).toEqual(taps);
    const side = (mark: Point): Mark => ({ point: mark, sd: 0.5, snapped: true });
    const told = lengthBetween(seen, [side(taps[0]!), side(taps[1]!)], 0);
    expect(Math.abs(told.mm - 85.6)).toBeLessThan(1);
    expect(told.sd).toBeGreaterThan(0.5);
  });

  it('that is covered by the item is refused, or its spread says so, however much of it and from wherever it is seen', () => {
    const side = (point: Point): Mark => ({ point, sd: 0.5, snapped: true });
    for (let seed = 1; seed <= 40; seed += 1) {
      const scene = anyScene(seed);
      const hides = 12 + (seed % 20);
      const whole = cardTaps(scene, () => 0);
      const [right, lower] = [seenAt(scene, [85.6 - hides, 0, 0]), seenAt(scene, [85.6 - hides, 53.98, 0])];
      const seen = seeCard(blank, [whole[0]!, right, lower, whole[3]!]);
      expect('message' in seeCard(blank, whole)).toBe(false);
      if ('message' in seen) {
        expect(seen.message).toContain('not in the proportion of a card');
        continue;
      }
      const told = lengthBetween(seen, [side(seenAt(scene, [-20, 70, 0])), side(seenAt(scene, [80, 70, 0]))], 0);
      expect(Math.abs(told.mm - 100)).toBeLessThan(5 * told.sd);
    }
  });

  it('whose edges are found is refused where a part of it is covered', () => {
    const scene = { ...anyScene(7), bend: 0 };
    const grey = rendered(scene, 7);
    const whole = cardTaps(scene, () => 0);
    expect('message' in seeCard(grey, whole)).toBe(false);
    // what covers it is as bright as the card and ends in a straight edge: all beyond it is gone
    const [right, lower] = [seenAt(scene, [68, -1, 0]), seenAt(scene, [68, 55, 0])];
    const across = ([x, y]: Point) => (x - right[0]) * (lower[1] - right[1]) - (y - right[1]) * (lower[0] - right[0]);
    const beyond = (place: Point) => across(place) * Math.sign(across(seenAt(scene, [80, 27, 0])));
    const data = Float32Array.from(grey.data, (value, index) => {
      const [x, y] = [index % grey.width, Math.floor(index / grey.width)];
      return beyond([x, y]) > 0 ? 40 : value;
    });
    const corners = [seenAt(scene, [68, 0, 0]), seenAt(scene, [68, 53.98, 0])];
    const covered = seeCard({ ...grey, data }, [whole[0]!, corners[0]!, corners[1]!, whole[3]!]);
    expect(covered).toMatchObject({ message: expect.stringContaining('not in the proportion of a card') });
  });

  it('that lies a little askew is known the worse', () => {
    const scene = { ...anyScene(3), bend: 0 };
    const taps = cardTaps(scene, () => 0);
    const told = (off: number) =>
      seeCard(blank, [taps[0]!, [taps[1]![0] + off, taps[1]![1]], [taps[2]![0] + off, taps[2]![1]], taps[3]!]) as Seen;
    expect(told(0).doubt).toBe(1);
    const doubts = [20, 30].map((off) => told(off).doubt);
    expect(doubts[0]!).toBeGreaterThan(1);
    expect(doubts[1]!).toBeGreaterThan(doubts[0]!);
  });

  it.each<[string, Point[]]>([
    [
      'corners that cross',
      [
        [100, 100],
        [400, 300],
        [400, 100],
        [100, 300],
      ],
    ],
    [
      'three on a line',
      [
        [100, 100],
        [200, 100],
        [300, 100],
        [200, 300],
      ],
    ],
    [
      'a speck',
      [
        [100, 100],
        [130, 100],
        [130, 118],
        [100, 118],
      ],
    ],
  ])('%s are told with what to do', (_, taps) => {
    expect(seeCard(blank, taps)).toEqual({ message: expect.stringMatching(/card/) });
  });
});

const place = fc.tuple(fc.double({ min: 0, max: 1000, noNaN: true }), fc.double({ min: 0, max: 1000, noNaN: true }));

it('a homography takes its four places to where they were seen, and all others back again', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), place, (seed, [x, y]) => {
      const scene = { ...anyScene(seed), bend: 0 };
      const table: Point[] = [
        [0, 0],
        [90, 0],
        [90, 60],
        [0, 60],
      ];
      const seen = table.map(([a, b]) => seenAt(scene, [a, b, 0]));
      const there = homographyOf(table, seen)!;
      const back = homographyOf(seen, table)!;
      const at: Point = [x / 8, y / 8];
      expect(distance(mapped(back, mapped(there, at)), at)).toBeLessThan(1e-6);
      expect(distance(mapped(there, at), seenAt(scene, [...at, 0]))).toBeLessThan(1e-6);
    }),
  );
});

it('the camera’s height and focal length follow from a tilted card', () => {
  for (const seed of SEEDS) {
    const scene = { ...anyScene(seed), bend: 0, tilt: 30 };
    const table: Point[] = [
      [0, 0],
      [85.6, 0],
      [85.6, 53.98],
      [0, 53.98],
    ];
    const h = homographyOf(
      table,
      table.map(([x, y]) => seenAt(scene, [x, y, 0])),
    )!;
    const focal = focalOf(h, scene.width / 2, scene.height / 2)!;
    expect(focal / (scene.focal * Math.hypot(scene.width, scene.height))).toBeCloseTo(1, 6);
    expect(heightOf(h, scene.width / 2, scene.height / 2, focal)).toBeCloseTo(scene.far * Math.cos(Math.PI / 6), 4);
  }
});

it('a lens that bends nothing moves nothing, and none moves the middle', () => {
  fc.assert(
    fc.property(place, fc.double({ min: -0.03, max: 0.03, noNaN: true }), ([x, y], k) => {
      expect(distance(straightened([x, y], { width: 1000, height: 800, k: 0 }), [x, y])).toBeLessThan(1e-9);
      expect(straightened([500, 400], { width: 1000, height: 800, k })).toEqual([500, 400]);
    }),
  );
});

it('a line through places on a line is that line', () => {
  fc.assert(
    fc.property(place, place, ([ax, ay], [bx, by]) => {
      fc.pre(Math.hypot(bx - ax, by - ay) > 1);
      const points = [0, 0.2, 0.6, 1].map((t): Point => [ax + t * (bx - ax), ay + t * (by - ay)]);
      const line = lineThrough(points);
      for (const point of points) expect(Math.abs(offLine(line, point))).toBeLessThan(1e-6);
    }),
  );
});

describe('several pictures', () => {
  it('are known better than each, and never outside of what they say', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            mm: fc.double({ min: 50, max: 200, noNaN: true }),
            sd: fc.double({ min: 0.1, max: 3, noNaN: true }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (list) => {
          const { mm, sd } = averageOf(list);
          expect(mm).toBeGreaterThanOrEqual(Math.min(...list.map((one) => one.mm)) - 1e-9);
          expect(mm).toBeLessThanOrEqual(Math.max(...list.map((one) => one.mm)) + 1e-9);
          expect(sd).toBeGreaterThan(0);
        },
      ),
    );
    expect(
      averageOf([
        { mm: 100, sd: 1 },
        { mm: 100, sd: 1 },
      ]).sd,
    ).toBeCloseTo(Math.SQRT1_2);
  });

  it('that contradict each other say so in their spread', () => {
    expect(
      averageOf([
        { mm: 100, sd: 0.5 },
        { mm: 110, sd: 0.5 },
      ]).sd,
    ).toBeGreaterThan(4);
  });
});

it('an outline without a rounded corner has none', () => {
  const seen = seeCard(
    { width: 1000, height: 750, data: new Float32Array(1000 * 750) },
    cardTaps({ ...anyScene(3), bend: 0 }, () => 0),
  ) as Seen;
  const scene = { ...anyScene(3), bend: 0 };
  const corners = (
    [
      [0, 70],
      [100, 70],
      [100, 130],
      [0, 130],
    ] as const
  ).map(([x, y]): Mark => ({ point: seenAt(scene, [x, y, 0]), sd: 0.1, snapped: true }));
  const { width, height, corner } = outlineSizes(seen, corners, 0);
  expect(Math.abs(width.mm - 60)).toBeLessThan(1);
  expect(Math.abs(height.mm - 100)).toBeLessThan(1.5);
  expect(corner.mm).toBeLessThan(1);
});
