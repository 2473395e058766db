import fc from 'fast-check';
import type { Border, Work } from '../../piece';
import { workFaults } from '../../piece/referee';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import type { Worked } from '../../reckon/types';
import { reckon } from '../../reckon/reckon';
import { allPieces, workOf } from '../../reckon/steps';
import { workOut } from '../../reckon/build';
import { chartOf } from '../../written/chart/chart';

const tube = (shape: object, fittings: Plan['fittings'] = [], rounds: 'spiral' | 'joined' = 'spiral'): Plan => ({
  format: PLAN_FORMAT,
  title: 'tube',
  thing:
    'kind' in shape && shape.kind === 'disc-wall'
      ? { kind: 'cylinder', diameter: { mm: 60 }, height: { mm: 150 } }
      : { kind: 'slab', width: { mm: 80 }, height: { mm: 150 }, depth: { mm: 20 } },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 200 } },
  shape: { kind: 'round-chain', ...shape } as Plan['shape'],
  fit: { name: 'snug' },
  fittings,
  schools: { rounds },
});

const worksOf = (plan: Plan) => {
  const out = workOut(plan);
  return { works: workOf(out), pieces: allPieces(out) };
};

const edging = (more: object = {}): Plan['fittings'] => [{ kind: 'edging', edging: 'single', rounds: 3, ...more }];

const SHAPES = [
  { kind: 'round-chain' },
  { kind: 'ring-tube' },
  { kind: 'ring-tube', begins: 'opening', join: 'single' },
  { kind: 'disc-wall' },
];

it.each(SHAPES)('a tube whose other side is shown is turned before anything goes on from it: %j', (shape) => {
  for (const rounds of ['spiral', 'joined'] as const) {
    const opening = 'begins' in shape ? [] : edging();
    const { works, pieces } = worksOf(tube({ ...shape, shows: 'other' }, opening, rounds));
    expect(workFaults(works, pieces)).toEqual([]);
    const dropped = works.filter(({ do: what }) => what !== 'turn-through');
    expect(workFaults(dropped, pieces)).not.toEqual([]);
    const usual = worksOf(tube(shape, opening, rounds));
    const turn: Work = { do: 'turn-through', piece: 'body', name: 'tube' };
    expect(workFaults([usual.works[0]!, turn, ...usual.works.slice(1)], usual.pieces)).not.toEqual([]);
  }
});

it('its rounds are told of the side that comes inside, read from the left in a chart, and sized as ever', () => {
  const [other, usual] = [reckon(tube({ shows: 'other' })), reckon(tube({}))];
  const sides = ({ steps }: Worked) => new Set(steps.filter(({ kind }) => kind === 'round').map(({ side }) => side));
  expect([sides(other), sides(usual)]).toEqual([new Set(['wrong']), new Set(['right'])]);
  expect(other.inside).toEqual(usual.inside);
  const turned = other.steps.find(({ id }) => id === 'turn-through')!;
  const numbers = ({ steps }: Worked) =>
    chartOf(steps, { piece: 'body', left: false, from: 2, to: 6 } as never)?.courses.map(({ number }) => number.side);
  expect([new Set(numbers(other)), new Set(numbers(usual))]).toEqual([new Set(['left']), new Set(['right'])]);
  expect(turned.text).toBe(
    'Turn the pouch inside out, the loop kept on the hook: the side that faced you comes inside.',
  );
});

it('an opening is edged with the inside facing the other way round, turned to it where the outside faced', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SHAPES.slice(0, 2)),
      fc.boolean(),
      fc.constantFrom('single', 'slip', 'loops'),
      (shape, other, kind) => {
        const plan = tube(
          { ...shape, ...(other ? { shows: 'other' } : {}) },
          edging({ faces: 'inside', edging: kind }),
        );
        const { works, pieces } = worksOf(plan);
        expect(workFaults(works, pieces)).toEqual([]);
        const border = works.find((work): work is Border => work.do === 'border' && work.id === 'rim')!;
        expect(border.side).toBe('wrong');
        expect(reckon(plan).steps.find(({ id }) => id === 'work-edging')!.text).toMatch(/^Turn\./);
      },
    ),
  );
});

it('rounds of an edging that are turned go back and forth, and say so', () => {
  const plan = tube({ kind: 'ring-tube' }, edging({ turns: 'each' }), 'joined');
  const { works, pieces } = worksOf(plan);
  expect(workFaults(works, pieces)).toEqual([]);
  const { text } = reckon(plan).steps.find(({ id }) => id === 'work-edging')!;
  expect(text.match(/Turn\. Round \d/g)).toEqual(['Turn. Round 2', 'Turn. Round 3']);
  const flap = { kind: 'strip-across' };
  expect(() => reckon(tube(flap, [{ kind: 'flap', overlapMm: 50 }, ...edging({ turns: 'each' })!]))).toThrow();
});

it('a base is not turned while the side that faces is outside until the end', () => {
  const at = (shape: object) =>
    reckon(tube({ kind: 'disc-wall', ...shape }))
      .steps.map(({ note }) => note)
      .join(' ');
  expect(at({})).toContain('Turn the right side outside now');
  expect(at({ shows: 'other' })).not.toContain('Turn the right side outside now');
  expect(at({ shows: 'other' })).toContain('Keep the side that faces you outside until the end');
});
