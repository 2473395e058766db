import fc from 'fast-check';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { workFaults } from '../../piece/referee';
import { workOut } from '../../reckon/build';
import { reckon } from '../../reckon/reckon';
import { allPieces, workOf } from '../../reckon/steps';
import type { Happening, KeptEvent } from '../log';
import { mend } from './mend';

/** A strip worked sideways, whose first tail sews one of its ends: how long it is hangs on how many rows there are. */
const plan: Plan = {
  format: PLAN_FORMAT,
  title: 'sideways',
  thing: { kind: 'slab', width: { mm: 120 }, height: { mm: 80 }, depth: { mm: 30 } },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 200 } },
  shape: { kind: 'strip-along', join: 'whip' },
  fit: { name: 'snug' },
};

function make(rows: number, taller: number): KeptEvent[] {
  const { steps, pieces, fabric } = reckon(plan);
  const done = steps.filter(({ kind, row }) => kind === 'foundation' || row !== null).slice(0, rows + 1);
  const last = done.at(-1)!;
  const what: Happening[] = [
    ...done.map(({ id }) => ({ kind: 'ticked', step: id, under: null }) as const),
    {
      kind: 'measured',
      piece: pieces[0]!.id,
      what: 'rows',
      count: last.row!,
      mm: Math.round(10 * taller * last.row! * fabric.rowHeight.value) / 10,
      by: 'tape',
      atStep: last.id,
    },
  ];
  return what.map((one, n) => ({ id: `e${n}`, make: 'm', device: 'd', at: '', n: n + 1, ...one }));
}

const foundationOf = (of: Plan) => reckon(of).steps[0]!.text;

it('the rows to come make up for what is worked, whatever tail was left before it', () => {
  const { rows } = reckon(plan).pieces[0]!;
  expect(foundationOf(plan)).toMatch(/^Leave a tail of/);
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: Math.floor(rows / 2) }),
      fc.double({ min: 0.8, max: 1.25, noNaN: true }),
      (done, taller) => {
        fc.pre(Math.abs(taller - 1) > 0.08);
        const choice = mend(plan, make(done, taller)).choices.find(({ id }) => id === 'rows-to-come')!;
        // what is worked was told so, and is not told otherwise
        expect(foundationOf(choice.plan)).toBe(foundationOf(plan));
        const out = workOut(choice.plan);
        expect(workFaults(workOf(out), allPieces(out))).toEqual([]);
      },
    ),
    { numRuns: 25 },
  );
});

it('what takes more than hangs there is sewn with yarn of its own', () => {
  const [piece] = reckon(plan).pieces;
  const run = { courses: 4, stitches: piece!.stitches, stitch: 'single', section: piece!.sections[0]!.name };
  const [none, much] = [0, 2000].map(
    (tailMm) => reckon({ ...plan, begun: [{ piece: 'body', tailMm, runs: [run] }] }).steps,
  );
  const sewnWith = (steps: typeof none) =>
    steps!.filter(({ text }) => text.includes('whip stitch')).map(({ text }) => text.replace(/,.*/s, ''));
  expect(sewnWith(none)).not.toEqual(sewnWith(much));
  expect(none![0]!.text).not.toMatch(/Leave a tail/);
  expect(much![0]!.text).toMatch(/^Leave a tail of 200 cm/);
});
