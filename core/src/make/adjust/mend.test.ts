import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { attempted } from '../../base/figure';
import { faultsOf } from '../../demo/fixtures/faultsOf';
import { shapeTaking } from '../../compare/proposals';
import { withFitting } from '../../plan/withFitting';
import { checkEvents, checkPlan } from '../../out/formats';
import { stepsToMake, type Happening, type KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { chance } from '../../reckon/chance';
import { changedWays, chanceStanding, mend, planAsked } from './mend';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const [, phone] = PLANS.find(([title]) => title === 'Field phone pouch')!;

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const event = (n: number, what: Happening): KeptEvent => ({
  id: uuid(n),
  make: uuid(900),
  device: uuid(901),
  at: '2026-05-01T18:00:00.000Z',
  n,
  ...what,
});

/** The first piece begun and so many courses on. */
function begun(plan: Plan, courses: number): KeptEvent[] {
  const { steps, pieces } = reckon(plan);
  return steps
    .filter(({ piece, kind, row }) => piece === pieces[0]!.id && (kind === 'foundation' || row !== null))
    .slice(0, courses + 1)
    .map(({ id }, index) => event(index + 1, { kind: 'ticked', step: id, under: null }));
}

/** What the tape says across the piece, its stitches so much wider than planned. */
function across(plan: Plan, events: readonly KeptEvent[], wider: number): KeptEvent {
  const { steps, pieces, fabric } = reckon(plan);
  const last = events.at(-1) as Extract<KeptEvent, { kind: 'ticked' }>;
  const { id, ends } = steps.find((step) => step.id === last.step)!;
  const [piece] = pieces;
  const count = ends ?? piece!.stitches;
  return event(events.length + 1, {
    kind: 'measured',
    piece: piece!.id,
    what: 'stitches',
    count,
    mm: Math.round(wider * fabric.stitchWidth.value * count * 10) / 10,
    by: 'ruler',
    atStep: id,
  });
}

function measured(plan: Plan, wider: number, courses = 12): KeptEvent[] {
  const events = begun(plan, courses);
  return [...events, across(plan, events, wider)];
}

it('asks nothing where nothing was measured, and follows the plan it was begun with', () => {
  const { choices, plan, gauge, state } = mend(phone, begun(phone, 5));
  expect([choices, plan, state.done.length]).toEqual([[], phone, 6]);
  expect(gauge.now).toEqual(gauge.planned);
});

describe.each(PLANS)('%s, 8 in 100 wider than planned', (_, plan) => {
  const events = measured(plan, 1.08);
  const { choices, gauge, worked } = mend(plan, events);

  it('is told so, with ways to go on that can all be followed, one of them recommended', () => {
    expect(gauge.now.stitchWidth).toBeGreaterThan(gauge.planned.stitchWidth);
    const told = choices.filter(({ recommended }) => recommended);
    expect(told).toHaveLength(1);
    expect(told[0]!.chance).toBeGreaterThanOrEqual(0.2);
    // beginning again stands first where nothing else is likely to fit, and only then
    const keeps = choices.some(({ from, chance }) => from?.course !== 0 && chance >= 0.2);
    expect(choices[0]!.id).toBe(keeps ? 'carry-on' : told[0]!.id);
    if (!keeps) expect(told[0]!.why).toMatch(/^Nothing that keeps what is worked fits as often as 20 times in 100\./);
    expect(new Set(choices.map(({ id }) => id)).size).toBe(choices.length);
    for (const choice of choices) {
      expect([choice.id, checkPlan(choice.plan).ok]).toEqual([choice.id, true]);
      expect(choice.chance).toBeGreaterThanOrEqual(0);
      expect(Math.min(choice.minutes, choice.metres, choice.outside.width, choice.outside.height)).toBeGreaterThan(0);
      expect(`${choice.title}${choice.why}`).not.toMatch(/[{}]|NaN/);
    }
    const best = choices.find(({ recommended }) => recommended)!;
    expect(best.chance).toBeGreaterThanOrEqual(choices[0]!.chance);
  });

  it('whichever way is taken, what is kept of the work keeps its words', () => {
    const before = new Map(worked.steps.map((step) => [step.id, step.text]));
    const n = events.length + 1;
    for (const { id, from, plan: next } of choices) {
      const decided = event(n, { kind: 'decided', choice: id, from, plan: next });
      expect(checkEvents([...events, decided]).ok).toBe(true);
      const after = mend(plan, [...events, decided]);
      expect([id, after.plan]).toEqual([id, next]);
      expect([id, after.choices]).toEqual([id, []]);
      const steps = new Map(after.worked.steps.map((step) => [step.id, step.text]));
      for (const done of after.state.done) expect([id, steps.get(done)]).toEqual([id, before.get(done)]);
      expect([id, faultsOf(next)]).toEqual([id, []]);
      const rows = after.state.done.length;
      if (from === null) expect([id, rows]).toEqual([id, events.length - 1]);
      else expect([id, rows]).toEqual([id, from.course === 0 ? 0 : from.course + 1]);
    }
  });
});

it('is the same in any order of what happened', () => {
  const events = measured(phone, 1.06);
  const expected = mend(phone, events).choices;
  fc.assert(
    fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (mixed) => {
      expect(mend(phone, mixed).choices).toEqual(expected);
    }),
    { numRuns: 5 },
  );
});

it('carries on where the tape says what was planned', () => {
  const { choices } = mend(phone, measured(phone, 1));
  const [carryOn] = choices;
  expect(carryOn!.recommended).toBe(true);
  expect(carryOn!.chance).toBeGreaterThan(0.8);
});

it('begins again where much too wide, and costs more than what is left', () => {
  const { choices } = mend(phone, measured(phone, 1.25));
  const again = choices.find(({ id }) => id === 'other-count')!;
  expect(again.title).toBe('Start again with the count that fits');
  expect(again.from).toEqual({ piece: 'body', course: 0 });
  expect(again.minutes).toBeGreaterThan(choices[0]!.minutes);
  expect(again.chance).toBeGreaterThan(choices[0]!.chance + 0.3);
});

it('takes a base as it is and goes on from it', () => {
  const [, sling] = PLANS.find(([, { shape }]) => shape.kind === 'disc-wall' && shape.takeIn === 'shoulder')!;
  const again = mend(sling, measured(sling, 1.1)).choices.find(({ id }) => id === 'other-count')!;
  expect(again.from!.course).toBeGreaterThan(2);
  expect(again.title).toMatch(/^Pull out to round \d+ and use/);
});

describe('much wider, with little of the front worked', () => {
  const events = measured(phone, 1.15, 12);
  const { choices } = mend(phone, events);
  const of = (id: string) => choices.find((choice) => choice.id === id)!;

  it('may go on with fewer stitches, nothing pulled out', () => {
    const { title, from, plan, chance } = of('change-count');
    expect(title).toMatch(/^In the next row, decrease \d stitch(es)? at the edges$/);
    expect([from, plan.begun![0]!.runs[0]!.courses]).toEqual([null, 12]);
    expect(chance).toBeGreaterThan(choices[0]!.chance + 0.3);
    const decided = event(40, { kind: 'decided', choice: 'change-count', from, plan });
    // and what is measured later is weighed on both counts
    const later = mend(phone, [...events, decided, across(plan, [...events.slice(0, -1)], 1.15)]);
    expect(later.plan).toEqual(plan);
  });

  it('or with a smaller hook, which can be seen', () => {
    const { title, shows, plan } = of('other-hook');
    expect(title).toMatch(/^Change to a \d(\.5)? mm hook from here$/);
    expect([shows, plan.fabric.bands?.length]).toEqual(['outside', 2]);
    expect(reckon(plan).steps.filter(({ text }) => text.includes('mm hook')).length).toBeGreaterThan(0);
  });

  it('what is measured on the new hook is a measure of that hook', () => {
    const { from, plan } = of('other-hook');
    const decided = event(40, { kind: 'decided', choice: 'other-hook', from, plan });
    const { worked } = mend(phone, [...events, decided]);
    const row = worked.steps.find((step) => step.row === 20)!;
    const w = worked.pieces[0]!.bands!.length;
    expect(w).toBe(2);
    const tape = event(60, {
      kind: 'measured',
      piece: 'body',
      what: 'stitches',
      count: 16,
      mm: 16 * 5.2,
      by: 'ruler',
      atStep: row.id,
    });
    const later = mend(phone, [...events, decided, tape]);
    expect(later.gauge.planned).toEqual(mend(phone, [...events, decided]).gauge.planned);
    const carried = later.choices.find(({ plan: next }) => next.fabric.bands?.[1]?.gauge);
    expect(carried?.plan.fabric.bands![1]!.gauge!.stitches).toHaveLength(1);
    expect(carried?.plan.fabric.gauge).toEqual(plan.fabric.gauge);
  });

  it('but not once most of the front is worked: what is left would not hold it', () => {
    const late = mend(phone, measured(phone, 1.15, 36)).choices.map(({ id }) => id);
    expect(late).not.toContain('change-count');
    expect(late).not.toContain('other-hook');
  });
});

describe('a plan changed while it is made', () => {
  const events = begun(phone, 12);
  const { stitches } = reckon(phone).pieces[0]!;

  it('may be followed as begun, by rows alone, or from the chain on', () => {
    const wider = { ...phone, picks: { width: stitches + 1 }, thing: { ...phone.thing, height: { mm: 190 } } };
    const ways = changedWays(phone, events, wider);
    expect(ways.map(({ id, from }) => [id, from])).toEqual([
      ['carry-on', null],
      ['as-changed', { piece: 'body', course: 0 }],
      ['rows-to-come', null],
    ]);
    const kept = ways[2]!.plan;
    expect(reckon(kept).pieces[0]!.stitches).toBe(stitches);
    expect(reckon(kept).pieces[0]!.rows).toBeGreaterThan(reckon(phone).pieces[0]!.rows);
    for (const { plan } of ways) expect(faultsOf(plan)).toEqual([]);
  });

  it('asks nothing where what is to be done stays, and not twice', () => {
    expect(changedWays(phone, events, { ...phone, title: 'another name' })).toHaveLength(1);
    const asked = { ...phone, picks: { width: stitches + 1 } };
    const kept = event(30, { kind: 'decided', choice: 'carry-on', from: null, plan: phone, asked });
    expect(planAsked(phone, events)).toBe(phone);
    expect(planAsked(phone, [...events, kept])).toBe(asked);
    expect(planAsked(phone, [...events, kept, event(31, { kind: 'undone', ticks: [kept.id] })])).toBe(phone);
  });
});

it('a decision is taken back like anything else', () => {
  const events = measured(phone, 1.25);
  const { choices } = mend(phone, events);
  const { id, from, plan } = choices.find((choice) => choice.id === 'other-count')!;
  const n = events.length + 1;
  const decided = event(n, { kind: 'decided', choice: id, from, plan });
  const { state } = mend(phone, [...events, decided]);
  expect([state.done, state.undoes]).toEqual([[], [decided.id]]);
  const undone = event(n + 1, { kind: 'undone', ticks: state.undoes });
  const back = mend(phone, [...events, decided, undone]);
  expect([back.plan, back.state.done.length, back.state.decided]).toEqual([phone, events.length - 1, null]);
  expect(back.choices).toEqual(choices);
});

it('where rows come out low, the folds may move and the flap be shorter, with as many rows as planned', () => {
  const events = begun(phone, 20);
  const { rowHeight } = mend(phone, events).gauge.planned;
  const low: Happening = {
    kind: 'measured',
    piece: 'body',
    what: 'height',
    mm: 18.4 * rowHeight,
    by: 'ruler',
    atStep: null,
  };
  const { choices } = mend(phone, [...events, event(40, { ...low, count: 20 })]);
  const folded = choices.find(({ id }) => id === 'fold-elsewhere')!;
  expect(folded.title).toMatch(/^Fold \d+ rows? later, and let the flap be \d+ rows? shorter$/);
  const [planned, now] = [reckon(phone).pieces[0]!, reckon(folded.plan).pieces[0]!];
  expect(Math.abs(now.rows - planned.rows)).toBeLessThanOrEqual(1);
  expect(now.sections[0]!.rows).toBeGreaterThan(planned.sections[0]!.rows);
  expect(folded.chance).toBeGreaterThan(choices[0]!.chance);
  expect(folded.metres).toBeLessThan(choices.find(({ id }) => id === 'rows-to-come')!.metres);
});

it('reads a tape laid along as rows, and one round a tube laid flat as half its round', () => {
  const events = begun(phone, 20);
  const along = (mm: number) =>
    mend(phone, [
      ...events,
      event(40, { kind: 'measured', piece: 'body', what: 'height', mm, by: 'ruler', atStep: null, count: 20 }),
    ]);
  const { rowHeight } = mend(phone, events).gauge.planned;
  expect(along(20 * rowHeight * 1.1).gauge.now.rowHeight).toBeGreaterThan(rowHeight * 1.03);
  const [, tube] = PLANS.find(([, { shape }]) => shape.kind === 'ring-tube')!;
  const rounds = begun(tube, 8);
  const { stitches } = reckon(tube).pieces[0]!;
  const { stitchWidth } = mend(tube, rounds).gauge.planned;
  const flat = event(30, {
    kind: 'measured',
    piece: reckon(tube).pieces[0]!.id,
    what: 'width',
    count: stitches,
    mm: (stitches * stitchWidth) / 2,
    by: 'ruler',
    atStep: null,
  });
  expect(mend(tube, [...rounds, flat]).gauge.now.stitchWidth).toBeCloseTo(stitchWidth, 1);
});

it.each(['drawstring', 'ties', 'mouth-loop'])(
  'a looser fit is offered of what %s holds in, as of what a flap does',
  (kind) => {
    const plain = withFitting({ ...phone, fittings: [], fit: { name: 'snug' } }, kind);
    const holds = attempted(() => reckon(plain)) ? plain : shapeTaking({ ...phone, fittings: [] }, kind)!.plan;
    const offered = mend(holds, measured(holds, 1.08)).choices.map(({ id }) => id);
    expect(offered).toContain('fit-slides');
    const open = { ...holds, fittings: [] };
    expect(mend(open, measured(open, 1.08)).choices.map(({ id }) => id)).not.toContain('fit-slides');
  },
);

describe('the chance that stands', () => {
  it('is that of the plan as begun before anything is measured, and of the piece as the tape has it after', () => {
    const plan = Object.values(TERN_POINT.plans)[0]!;
    const { width } = reckon(plan).pieces[0]!;
    const event = (n: number, what: Happening): KeptEvent => ({
      id: `e${n}`,
      make: 'm',
      device: 'd',
      at: '2026-01-01T00:00:00Z',
      n,
      ...what,
    });
    const rows = stepsToMake(reckon(plan).steps)
      .slice(0, 20)
      .map(({ id }, n) => event(n, { kind: 'ticked', step: id, under: null }));
    const first = chanceStanding(plan, rows);
    expect(Math.abs(first - chance(plan, 4000).share)).toBeLessThan(0.05);
    const taped = (share: number) =>
      event(100, {
        kind: 'measured',
        piece: 'body',
        what: 'width',
        count: 16,
        mm: share * width.value,
        by: 'tape',
        atStep: null,
      });
    expect(chanceStanding(plan, [...rows, taped(1)])).toBeGreaterThan(first);
    expect(chanceStanding(plan, [...rows, taped(0.88)])).toBeLessThan(0.3);
  });
});
