import fc from 'fast-check';
import type { Happening, KeptEvent } from './events';
import { foldMake } from './fold';
import { isFinished, nextCount } from './order';
import type { StepPlace } from './types';

/** A body of a foundation and rows, a strap of the same, and what is done by hand at the end. */
const STEPS: StepPlace[] = [
  { id: 'body-foundation', piece: 'body', kind: 'foundation', row: null },
  ...rows('body', 6),
  { id: 'fold', piece: 'body', kind: 'assembly', row: null },
  { id: 'strap-foundation', piece: 'strap', kind: 'foundation', row: null },
  ...rows('strap', 3),
  { id: 'sew-strap', piece: 'body', kind: 'assembly', row: null },
];

function rows(piece: string, count: number): StepPlace[] {
  return Array.from({ length: count }, (_, index) => ({
    id: `${piece}-row-${index + 1}`,
    piece,
    kind: 'row',
    row: index + 1,
  }));
}

let made = 0;
const event = (n: number, what: Happening, more: { device?: string; at?: string; seq?: number } = {}): KeptEvent => ({
  id: `e${(made += 1)}`,
  make: 'm',
  device: 'phone',
  at: new Date(Date.UTC(2026, 1, 1) + made * 1000).toISOString(),
  n,
  ...more,
  ...what,
});
const tick = (n: number, step: string, device = 'phone', under: string | null = null) =>
  event(n, { kind: 'ticked', step, under }, { device });
const old = (what: Happening): KeptEvent => ({ ...event(0, what), n: undefined }) as unknown as KeptEvent;
const undo = (n: number, ...ticks: KeptEvent[]) => event(n, { kind: 'undone', ticks: ticks.map(({ id }) => id) });
const doneOf = (events: readonly KeptEvent[]) => foldMake(events, STEPS).done;

it('is the sum of what happened', () => {
  const [first, second] = [tick(1, 'body-foundation'), tick(2, 'body-row-1')];
  const note = event(3, { kind: 'noted', text: 'a knot', step: 'body-row-1' });
  const state = foldMake([first, second, note], STEPS);
  expect(state).toMatchObject({
    done: ['body-foundation', 'body-row-1'],
    last: { step: 'body-row-1', ticks: [second.id] },
    finished: false,
    notes: [{ text: 'a knot', step: 'body-row-1' }],
  });
  expect(foldMake([first, second, undo(3, second)], STEPS).last?.step).toBe('body-foundation');
});

describe('two devices', () => {
  const begun = [tick(1, 'body-foundation'), tick(2, 'body-row-1')];

  it('that tick one row have worked one row, and both are told', () => {
    const state = foldMake([...begun, tick(3, 'body-row-2'), tick(3, 'body-row-2', 'desk')], STEPS);
    expect(state.done).toHaveLength(3);
    expect(state.twice).toEqual(['body-row-2']);
    expect(state.last!.ticks).toHaveLength(2);
  });

  it('keep a row that one took back while the other ticked it', () => {
    const mine = tick(3, 'body-row-2');
    const events = [...begun, mine, undo(4, mine), tick(3, 'body-row-2', 'desk')];
    expect(foldMake(events, STEPS)).toMatchObject({ twice: [], last: { step: 'body-row-2' } });
  });

  it('agree whichever was heard first, with events arriving twice', () => {
    const events = [...begun, tick(3, 'body-row-2'), tick(3, 'body-row-2', 'desk'), tick(4, 'body-row-3', 'desk')];
    const expected = foldMake(events, STEPS);
    const mixed = fc.shuffledSubarray([...events, ...events], { minLength: 2 * events.length });
    fc.assert(fc.property(mixed, (order) => expect(foldMake(order, STEPS)).toEqual(expected)));
  });

  it('an hour apart by their clocks: the slow one reopens what the other finished', () => {
    const finished = event(7, { kind: 'finished' }, { at: '2026-03-01T20:00:00.000Z', device: 'desk' });
    const reopened = event(8, { kind: 'reopened' }, { at: '2026-03-01T19:05:00.000Z' });
    expect(isFinished([reopened, finished])).toBe(false);
    expect(isFinished([finished])).toBe(true);
  });

  it('that neither knew of the other are ordered by the server, and what it has not seen comes last', () => {
    const finished = event(7, { kind: 'finished' }, { seq: 41 });
    const reopened = event(7, { kind: 'reopened' }, { seq: 40 });
    expect(isFinished([finished, reopened])).toBe(true);
    expect(isFinished([finished, { ...reopened, seq: undefined } as unknown as KeptEvent])).toBe(false);
  });
});

describe('a place that was set', () => {
  const begun = [tick(1, 'body-foundation'), tick(2, 'body-row-1'), tick(3, 'body-row-2')];

  it('replaces what was ticked of its piece before, and lets be what came after', () => {
    const placed = event(4, { kind: 'placed', piece: 'body', course: 1 });
    expect(doneOf([...begun, placed])).toEqual(['body-foundation', 'body-row-1']);
    expect(doneOf([...begun, placed, tick(5, 'body-row-2')])).toHaveLength(3);
    expect(doneOf([...begun, event(4, { kind: 'placed', piece: 'body', course: 5 })])).toHaveLength(6);
  });

  it('leaves other pieces as they are, and is itself taken back', () => {
    const strap = tick(4, 'strap-foundation');
    const placed = event(5, { kind: 'placed', piece: 'body', course: 0 });
    expect(doneOf([...begun, strap, placed])).toEqual(['body-foundation', 'strap-foundation']);
    expect(foldMake([...begun, placed], STEPS).last).toEqual({ step: 'body-foundation', ticks: [placed.id] });
    expect(doneOf([...begun, strap, placed, undo(6, placed)])).toHaveLength(4);
  });
});

it('counts ticks made before a decision was known only up to where it begins', () => {
  const plan = {} as never;
  const begun = [tick(1, 'body-foundation'), tick(2, 'body-row-1'), tick(3, 'body-row-2')];
  const decided = event(4, { kind: 'decided', choice: 'wider', from: { piece: 'body', course: 2 }, plan });
  const late = tick(4, 'body-row-3', 'desk');
  const known = tick(5, 'body-row-3', 'phone', decided.id);
  expect(doneOf([...begun, decided, late])).toHaveLength(3);
  expect(doneOf([...begun, decided, known])).toHaveLength(4);
  expect(doneOf([...begun, decided, tick(5, 'strap-foundation', 'desk')])).toContain('strap-foundation');
  expect(foldMake([...begun, decided], STEPS).decided).toBe(decided.id);
});

describe('events of earlier versions', () => {
  it('complete foundations, rows and rounds piece by piece, then the rest in order', () => {
    const ticks = (count: number) => Array.from({ length: count }, () => old({ kind: 'ticked' }));
    expect(doneOf(ticks(7))).toEqual(STEPS.slice(0, 7).map(({ id }) => id));
    expect(doneOf(ticks(8))).toEqual([...STEPS.slice(0, 7).map(({ id }) => id), 'strap-foundation']);
    expect(doneOf(ticks(12))).not.toContain('sew-strap');
    expect(doneOf(ticks(99))).toHaveLength(STEPS.length);
  });

  it('are taken back one by one, and noted by number', () => {
    const [first, second] = [old({ kind: 'ticked' }), old({ kind: 'ticked' })];
    const state = foldMake(
      [first, second, old({ kind: 'undone', undoes: second.id }), old({ kind: 'noted', text: 'slack', step: 1 })],
      STEPS,
    );
    expect(state.done).toEqual(['body-foundation']);
    expect(state.notes[0]!.step).toBe('body-foundation');
  });

  it('go before what is ticked now', () => {
    const events = [old({ kind: 'ticked' }), old({ kind: 'ticked' }), tick(1, 'body-row-2')];
    expect(foldMake(events, STEPS)).toMatchObject({ done: { length: 3 }, last: { step: 'body-row-2' } });
    expect(nextCount(events)).toBe(2);
  });
});
