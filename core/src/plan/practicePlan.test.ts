import { STITCHES } from '../craft/fabric';
import { parsePlan } from '../out/formats';
import { FIRST_FABRIC } from './newPlan';
import { refereePiece } from '../pattern/refereePiece';
import { isPractice, practicePlan } from './practicePlan';
import { workFaults } from '../piece/referee';
import { workOut } from '../reckon/build';
import { reckon } from '../reckon/reckon';
import { allPieces, workOf } from '../reckon/steps';

const NAMED = STITCHES.filter(({ wantsSwatch }) => !wantsSwatch).map(({ id }) => id);

it.each(NAMED)('a practice swatch in %s is about 20 stitches by 12 rows, and can be worked and kept', (stitch) => {
  const plan = practicePlan({ ...FIRST_FABRIC, stitch }, stitch);
  expect(isPractice(plan)).toBe(true);
  expect(parsePlan(JSON.stringify(plan))).toEqual(plan);
  const worked = reckon(plan);
  const [piece] = worked.pieces;
  expect(Math.abs(piece!.stitches - 20)).toBeLessThanOrEqual(3);
  expect(piece!.rows).toBe(12);
  expect(refereePiece(worked.steps, piece!.id).faults).toEqual([]);
  expect(worked.steps.at(-1)!.id).toBe('weave-in');
  expect(worked.steps.map(({ id }) => id)).toContain('measure-swatch');
});

it('a swatch starts from what is known of the yarn, not from another swatch', () => {
  const plan = practicePlan({ ...FIRST_FABRIC, gauge: { stitches: [{ count: 10, overMm: 40 }] } }, 'single crochet');
  expect(plan.fabric.gauge).toBeUndefined();
});

it.each(['single', 'reverse', 'slip'])(
  'is edged in %s where that is what is practised, and the hook can do it',
  (edge) => {
    const plan = practicePlan(FIRST_FABRIC, edge, { edge });
    expect(parsePlan(JSON.stringify(plan))).toEqual(plan);
    const out = workOut(plan);
    expect(workFaults(workOf(out), allPieces(out))).toEqual([]);
    const { steps } = reckon(plan);
    const edging = steps.find(({ id }) => id === 'edging')!;
    expect(/Work it from left to right/.test(edging.text)).toBe(edge === 'reverse');
  },
);
