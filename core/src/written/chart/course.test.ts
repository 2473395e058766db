import { inOne, work, type Instruction } from '../../craft/fabric';
import type { Step } from '../../pattern';
import { laidCourses } from './course';

/** A piece of a chain and some courses upon it. */
function steps(chains: number, ...courses: readonly (readonly Instruction[])[]): Step[] {
  const made = { id: 'chain', piece: 'body', row: null, work: null, makes: { count: chains, kind: 'chain' } };
  const rows = courses.map((course, index) => ({
    id: `row-${index + 1}`,
    piece: 'body',
    kind: 'row',
    row: index + 1,
    side: index % 2 === 0 ? 'right' : 'wrong',
    turned: index > 0,
    makes: null,
    work: course,
  }));
  return [made, ...rows] as unknown as Step[];
}

const laid = (chains: number, ...courses: readonly (readonly Instruction[])[]) =>
  laidCourses(steps(chains, ...courses), 'body');
const signs = (course: ReturnType<typeof laid>[number] | undefined) => course!.signs.map(({ sign }) => sign);
const singles = (times: number, into: 'stitch' | 'chain' = 'stitch') => work('single', times, into);

it('plain stitches stand side by side in the middle of their columns', () => {
  const [row] = laid(3, [singles(3, 'chain')]);
  expect(row).toMatchObject({ columns: 3, high: 1 });
  expect(row!.signs.map(({ at }) => at)).toEqual([0.5, 1.5, 2.5]);
});

it('an increase stands on one foot, leaning both ways; a decrease is one sign over one column', () => {
  const [, wider, narrower] = laid(
    2,
    [singles(2, 'chain')],
    [inOne('single', 2), singles(1)],
    [{ do: 'together', stitch: 'single', over: 2, times: 1 }, singles(1)],
  );
  expect(wider!.columns).toBe(3);
  expect(wider!.signs.map(({ lean }) => Math.sign(lean))).toEqual([-1, 1, 0]);
  expect(signs(narrower)).toEqual(['single-together', 'single']);
});

it('a V has its chain between its legs, and crossed pairs lean over each other', () => {
  const v: Instruction = {
    do: 'group',
    parts: [
      { stitch: 'double', count: 1 },
      { chains: 1, spans: 1 },
      { stitch: 'double', count: 1 },
    ],
    over: 1,
    into: 'chain',
    times: 1,
  };
  const [vs] = laid(1, [v]);
  expect(signs(vs)).toEqual(['double', 'chain', 'double']);
  const [, crossed] = laid(4, [work('double', 4, 'chain')], [{ do: 'crossed', stitch: 'double', times: 2 }]);
  expect(crossed!.signs.map(({ lean }) => Math.sign(lean))).toEqual([1, -1, 1, -1]);
});

it('a loop of chains is one sign as wide as it spans, and chains to be worked into are one each', () => {
  const space = laid(5, [
    singles(1, 'chain'),
    { do: 'chain', chains: 5, spans: 3, as: 'space' },
    { do: 'skip', times: 3, into: 'chain' },
    singles(1, 'chain'),
  ]);
  expect(space[0]!.signs[1]).toMatchObject({ sign: 'loop', wide: 3, count: 5, at: 2.5 });
  const hole = laid(5, [
    singles(1, 'chain'),
    { do: 'chain', chains: 3, spans: 3, as: 'chains' },
    { do: 'skip', times: 3, into: 'chain' },
    singles(1, 'chain'),
  ]);
  expect(signs(hole[0])).toEqual(['single', 'chain', 'chain', 'chain', 'single']);
});

it('chains that count stand for the first stitch, others are no sign', () => {
  const up = (counts: boolean): Instruction => ({ do: 'turning-chain', chains: 3, counts });
  const [, counted] = laid(
    2,
    [work('double', 2, 'chain')],
    [up(true), { do: 'skip', times: 1, into: 'stitch' }, work('double', 1)],
  );
  expect(signs(counted)).toEqual(['turning-chain', 'double']);
  const [, plain] = laid(2, [work('double', 2, 'chain')], [up(false), work('double', 2)]);
  expect(signs(plain)).toEqual(['double', 'double']);
  expect(plain!.high).toBeGreaterThan(1.5);
});

it('is laid out as far as it can be worked, and no further', () => {
  expect(laid(3, [singles(3, 'chain')], [singles(9)])).toHaveLength(1);
  expect(laidCourses(steps(3, [singles(3, 'chain')]), 'another')).toEqual([]);
});
