import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { PlanProblem } from '../../base/figure';
import { refereePiece } from '../../pattern/refereePiece';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { anyPlanOf, reckonOrRefuse } from '../fixtures/anyPlan';
import type { Worked } from '../../reckon/types';

const notebook = { kind: 'slab', name: 'notebook', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } } as const;
const bar = { kind: 'bar' as const, diameter: { mm: 40 }, dropFront: { mm: 110 }, dropBack: { mm: 110 } };
const arm = { kind: 'bar' as const, width: { mm: 90 }, dropFront: { mm: 110 }, dropBack: { mm: 110 } };

const FIVE_MM = [{ count: 20, overMm: 100 }];

/** Single 20 / 100 mm and 20 / 100: 5 mm a stitch and a row. */
function caddy(shape: Partial<Plan['shape']> = {}, more: Partial<Plan> = {}): Plan {
  return {
    format: PLAN_FORMAT,
    title: 'caddy',
    thing: notebook,
    carrier: bar,
    fabric: {
      stitch: 'single',
      hookMm: 4,
      yarn: { metresPer100g: 190 },
      gauge: { stitches: FIVE_MM, rows: FIVE_MM, roundStitches: FIVE_MM, rounds: FIVE_MM },
    },
    shape: { kind: 'saddle', pocketMm: 100, ...shape },
    fit: { name: 'slides' },
    ...more,
  };
}

const sections = ({ pieces: [piece] }: Worked) => piece!.sections.map(({ name, rows }) => `${name} ${rows}`);
const rowsOf = ({ steps }: Worked, section: string) => steps.filter((step) => step.section === section && step.row);

it('is told in the order it is worked: pocket, way over, tabs, way on, pocket, bottom', () => {
  const worked = reckon(caddy());
  // 110 + π (40 + 4.3) / 2 + 110 = 290, rows of 4.94: 59; pocket 100 + 4.5 + 2.7: 21 rounds
  expect(sections(worked)).toEqual([
    'pocket in front 21',
    'span 53',
    'tab 4',
    'span 2',
    'pocket behind 20',
    'bottom 1',
  ]);
  const rows = worked.steps.flatMap(({ row }) => row ?? []);
  expect(rows).toEqual(rows.map((_row, index) => index + 1));
  expect(refereePiece(worked.steps, 'body').faults).toEqual([]);
});

it('goes over a flat arm by its width and two quarter turns, without tabs', () => {
  const worked = reckon(caddy({}, { carrier: arm }));
  // 110 + 90 + π 4.3 / 2 + 110 = 317: 65 rows
  expect(sections(worked)[1]).toBe('span 65');
  expect(sections(worked).join()).not.toContain('tab');
});

it('marks both folds, goes on without turning, and is odd, or is turned through', () => {
  const odd = reckon(caddy());
  const last = rowsOf(odd, 'pocket in front').at(-1)!;
  expect(last.note).toMatch(
    /Mark this fold and the other, \d+ stitches on\. Continue over the first face alone, without turning/,
  );
  expect(odd.supplies.notions).toContainEqual({ name: 'stitch marker', count: 3 });
  const [first] = rowsOf(odd, 'span');
  expect(first!.turned).toBe(false);
  const even = reckon(caddy({ spanRows: 'nearest' }, { carrier: { ...bar, dropFront: { mm: 117 } } }));
  expect(even.pieces[0]!.sections.slice(1, 4).reduce((sum, { rows }) => sum + rows, 0) % 2).toBe(0);
  expect(rowsOf(even, 'pocket behind').at(-1)!.note).toMatch(
    /^Turn the pocket through its open bottom: .* its wrong side shows/,
  );
  expect(rowsOf(odd, 'pocket behind').at(-1)!.note).not.toMatch(/Turn the pocket/);
});

it('chains its tabs out beyond both edges, both holes in one row, and leaves them again', () => {
  const worked = reckon(caddy());
  const [out, both, holes, over] = rowsOf(worked, 'tab');
  const [, on] = worked.pieces[0]!.sections.filter(({ name }) => name === 'span');
  const back = worked.steps.find(({ row }) => row === on!.from)!;
  // 20 mm of button and 30 of overlap: 10 stitches
  expect(out!.counted).toMatch(/stitches and 10 chains$/);
  expect(both!.text).toMatch(/in each of the next 10 chains.*chain 10/);
  expect(holes!.text.match(/chain \d+, skip \d+/g)).toHaveLength(2);
  expect([out!, both!, holes!, over!].map(({ ends }) => ends! - back.ends!)).toEqual([10, 20, 20, 20]);
  expect(back.text).toMatch(/^Slip stitch along the next 10 stitches.*leave the remaining 10 stitches/);
  expect(worked.supplies.notions).toContainEqual({ name: 'button', size: '20 mm', count: 2 });
});

it('has several pockets behind, each of its own depth, the last filling up so that both sides hang level', () => {
  const worked = reckon(caddy({ behindPockets: 3, behind1Mm: 20, behind2Mm: 30, pocketMm: 150 }));
  expect(sections(worked).slice(4)).toEqual([
    'pocket behind 1 5',
    'bottom 1',
    'pocket behind 2 7',
    'bottom 1',
    'pocket behind 3 16',
    'bottom 1',
  ]);
  const [front, ...rest] = worked.pieces[0]!.sections.filter(({ name }) => /pocket|bottom/.test(name));
  expect(Math.abs(front!.mm - rest.reduce((sum, { mm }) => sum + mm, 0))).toBeLessThanOrEqual(2.5);
  const closing = rowsOf(worked, 'bottom');
  expect(closing.every(({ text }) => text.includes('through both layers'))).toBe(true);
  expect(() => reckon(caddy({ behindPockets: 3, behind1Mm: 60, behind2Mm: 60 }))).toThrow(
    /The pockets above take .* is left for the last\. Use fewer/,
  );
});

it('works the stitch that is chosen, in its multiple', () => {
  const fabric = { ...caddy().fabric, stitch: 'double-v' };
  const worked = reckon(caddy({}, { fabric }));
  const counted = rowsOf(worked, 'pocket in front').map((step) => step.counted);
  expect(counted.at(-2)).toMatch(/^\d+ Vs$/);
  expect(2 * worked.outside.width.value).toBeCloseTo(worked.pieces[0]!.stitches * worked.fabric.stitchWidth.value, 6);
});

it('weights the lighter side over an arm, and says what it lacks to know it', () => {
  const members = [220, 75].map((massG, index) => ({ ...notebook, name: `book ${index + 1}`, massG }));
  const weighed = reckon(caddy({}, { carrier: arm, thing: { kind: 'set', members } }));
  expect(weighed.steps.find(({ id }) => id === 'counterweight')!.text).toMatch(/weights of 145 g .* pocket behind/);
  expect(weighed.supplies.notions).toContainEqual({ name: 'flat weights to sew in', size: '145 g in all', count: 1 });
  expect(reckon(caddy({}, { carrier: arm })).advice.map(({ id }) => id)).toContain('unweighed');
});

it('leaves room for hands, keeps its tabs below the bar, and hangs level, or says so', () => {
  const ids = (carrier: Plan['carrier'], shape = {}) => reckon(caddy(shape, { carrier })).advice.map(({ id }) => id);
  expect(ids(bar)).not.toEqual(expect.arrayContaining(['hand-room']));
  expect(ids({ ...bar, dropFront: { mm: 60 } })).toContain('hand-room');
  expect(ids({ ...bar, dropBack: { mm: 20 } })).toContain('tabs-over-the-bar');
  expect(ids({ ...bar, dropBack: { mm: 300 } })).toContain('hangs-unlevel');
  const tight = reckon(caddy({}, { carrier: { ...bar, dropBack: { mm: 60 } } }));
  expect(tight.advice.find(({ id }) => id === 'hand-room')!.change).toEqual({ 'carrier.dropBack': { mm: 100 } });
});

it('asks for its bar, for the bar’s size, and for a tab that holds its hole', () => {
  const { carrier: _none, ...barless } = caddy();
  expect(() => reckon(barless)).toThrow(/What does it hang over/);
  const unsaid = { kind: 'bar' as const, dropFront: { mm: 60 }, dropBack: { mm: 50 } };
  expect(() => reckon(caddy({}, { carrier: unsaid }))).toThrow(/round, or flat on top/);
  const unsized = { section: 'round' as const, kind: 'bar' as const, dropFront: { mm: 60 }, dropBack: { mm: 50 } };
  expect(() => reckon(caddy({}, { carrier: unsized }))).toThrow(/How thick is the bar/);
  expect(() => reckon(caddy({ tabMm: 25 }))).toThrow(/a tab of 25 mm has 5 stitches\. Make it \d+ mm or longer/);
  expect(() => reckon(caddy({ buttonMm: 60 }, { thing: { ...notebook, width: { mm: 20 } } }))).toThrow(
    /wider than the pocket .*Choose a smaller button/,
  );
});

it('parts a pocket between the things that share it, and says which side is heavier', () => {
  const worked = reckon(Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'saddle')!);
  expect(worked.steps.find(({ id }) => id === 'part-pocket-front')!.text).toMatch(
    /hide notebook, pen and pen.*between stitch 20 and 21, between 25 and 26 of 30/,
  );
  expect(worked.advice.map(({ id }) => id)).toContain('lopsided');
});

it('is worked without fault whatever is drawn, however many pockets hang behind', () => {
  const any = fc.tuple(anyPlanOf('saddle'), fc.integer({ min: 1, max: 4 }), fc.integer({ min: 60, max: 400 }));
  fc.assert(
    fc.property(any, ([plan, behindPockets, pocketMm]) => {
      const worked = reckonOrRefuse({ ...plan, shape: { ...plan.shape, behindPockets, pocketMm } });
      fc.pre(!(worked instanceof PlanProblem));
      if (worked instanceof PlanProblem) return;
      const { faults, courses } = refereePiece(worked.steps, 'body');
      expect(faults).toEqual([]);
      expect(courses).toBe(worked.pieces[0]!.rows);
    }),
    { numRuns: 150 },
  );
});
