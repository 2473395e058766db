import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { stepsToMake, type Happening, type KeptEvent } from '../log';
import { refolding } from './refold';

const phone = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Field phone pouch')!;
const along: Plan = { ...phone, shape: { kind: 'strip-along' }, fittings: [{ kind: 'flap' }] };

const happened = (...list: readonly Happening[]): KeptEvent[] =>
  list.map((what, n) => ({ id: `e${n}`, make: 'm', device: 'd', at: '2026-01-01T00:00:00Z', n, ...what }));

/** Everything of a plan done up to the last of its rows, less so many, and so many steps beyond. */
function workedTo(plan: Plan, off = 0): Happening[] {
  const steps = stepsToMake(reckon(plan).steps);
  const last = steps.map(({ row }) => row !== null).lastIndexOf(true);
  return steps.slice(0, last + 1 + off).map(({ id }) => ({ kind: 'ticked', step: id, under: null }));
}

describe('where a strip may be folded', () => {
  it('is nowhere while rows are still to come, and where something is joined', () => {
    expect(refolding(phone, happened(...workedTo(phone, -1)))).toBeUndefined();
    expect(refolding(phone, happened(...workedTo(phone)))).toBeDefined();
    const steps = stepsToMake(reckon(phone).steps);
    const joined = steps.findIndex(({ section, id }) => section === 'joining' && id !== 'fold');
    const done: Happening[] = steps.slice(0, joined + 1).map(({ id }) => ({ kind: 'ticked', step: id, under: null }));
    expect(refolding(phone, happened(...done))).toBeUndefined();
  });

  it.each([
    ['rows across', phone, 'rows'],
    ['rows along', along, 'stitches'],
  ] as const)('%s: every place keeps what is worked, and a deeper pocket leaves a shorter flap', (_, plan, counted) => {
    const { places, now, ...found } = refolding(plan, happened(...workedTo(plan)))!;
    const [piece] = reckon(plan).pieces;
    expect(found.counted).toBe(counted);
    expect(places.map(({ front }) => front)).toContain(now);
    for (const { plan: then, front, depth, flap } of places) {
      const [made] = reckon(then).pieces;
      expect([made!.rows, made!.stitches, made!.sections[0]![counted]]).toEqual([piece!.rows, piece!.stitches, front]);
      expect(made!.sections.at(-1)![counted]).toBe(flap);
      expect(depth).toBeGreaterThan(0);
    }
    places.slice(1).forEach((place, at) => {
      expect(place.depth).toBeGreaterThan(places[at]!.depth);
      expect(place.flap).toBeLessThanOrEqual(places[at]!.flap);
    });
  });

  it('a flatter gauge than planned folds it later, and a fold that gains nothing is not moved', () => {
    const rows = reckon(phone).pieces[0]!.rows;
    const { height } = reckon(phone).pieces[0]!;
    const flatter: Happening = {
      kind: 'measured',
      piece: 'body',
      what: 'rows',
      count: rows,
      mm: 0.9 * height.value,
      by: 'tape',
      atStep: null,
    };
    const { best, now, places } = refolding(phone, happened(...workedTo(phone), flatter))!;
    expect(best).toBeGreaterThan(now);
    const at = (front: number) => places.find((place) => place.front === front)!;
    expect(at(best).chance).toBeGreaterThan(at(now).chance + 0.3);
    const asPlanned = refolding(phone, happened(...workedTo(phone)))!;
    expect(asPlanned.best).toBe(asPlanned.now);
  });

  it('is not asked of a tube', () => {
    const tube: Plan = { ...phone, shape: { kind: 'ring-tube' }, fittings: [] };
    expect(refolding(tube, happened(...workedTo(tube)))).toBeUndefined();
  });
});
