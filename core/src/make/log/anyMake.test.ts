import fc from 'fast-check';
import type { Happening, KeptEvent } from './events';
import { foldMake } from './fold';
import { nextCount } from './order';
import type { StepPlace } from './types';

const STEPS: StepPlace[] = Array.from({ length: 40 }, (_, index) => ({
  id: `step ${index}`,
  piece: index < 25 ? 'body' : 'strap',
  kind: index % 25 === 0 ? 'foundation' : 'row',
  row: index % 25 === 0 ? null : index % 25,
}));
const DEVICES = ['phone', 'desk', 'tablet'];

/** What happened on up to three devices, in some order: ticks, what takes them back, places set, notes and endings. */
const history = fc
  .array(
    fc.record({
      kind: fc.constantFrom(
        'ticked',
        'ticked',
        'ticked',
        'unnamed',
        'undone',
        'placed',
        'noted',
        'finished',
        'reopened',
      ),
      device: fc.constantFrom(...DEVICES),
      n: fc.nat(40),
      of: fc.nat(60),
    }),
    { maxLength: 60 },
  )
  .map((list) =>
    list.map(({ kind, device, n, of }, index): KeptEvent => {
      const at = new Date(Date.UTC(2026, 2, 1) + of * 1000).toISOString();
      return { id: `e${index}`, make: 'm', device, at, n, ...happening(kind, of, index) };
    }),
  );

function happening(kind: string, of: number, index: number): Happening {
  if (kind === 'ticked') return { kind, step: `step ${of}`, under: null };
  if (kind === 'unnamed') return { kind: 'ticked' };
  if (kind === 'undone') return { kind, ticks: [`e${of}`, `e${of + 1}`] };
  if (kind === 'placed') return { kind, piece: of % 2 ? 'body' : 'strap', course: of };
  if (kind === 'noted') return { kind, text: `note ${index}`, step: of };
  return { kind: kind as 'finished' };
}

const add = (events: readonly KeptEvent[], id: string, what: Happening): KeptEvent[] => [
  ...events,
  { id, make: 'm', device: 'phone', at: '2027-01-01T00:00:00.000Z', n: nextCount(events), ...what },
];

it('tells only steps of the plan, each once, in its order', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { done } = foldMake(events, STEPS);
      expect(done).toEqual(STEPS.map(({ id }) => id).filter((id) => done.includes(id)));
    }),
  );
});

it('is the same whichever device sent first, and however often each sent', () => {
  fc.assert(
    fc.property(history, fc.integer({ min: 1, max: 99 }), (events, salt) => {
      const byDevice = DEVICES.map((device) => events.filter((event) => event.device === device));
      const shuffled = [...byDevice].sort((a, b) => ((a.length * salt) % 7) - ((b.length * salt) % 7)).flat();
      expect(foldMake([...shuffled, ...shuffled], STEPS)).toEqual(foldMake(events, STEPS));
    }),
  );
});

it('a tick of a step that is not done brings the count on by one, and its undo brings it back', () => {
  fc.assert(
    fc.property(history, (events) => {
      const before = foldMake(events, STEPS).done;
      const next = STEPS.find(({ id }) => !before.includes(id));
      if (!next) return;
      const on = add(events, 'one more', { kind: 'ticked', step: next.id, under: null });
      const { done, last } = foldMake(on, STEPS);
      expect([done.length, last!.step]).toEqual([before.length + 1, next.id]);
      expect(foldMake(add(on, 'back', { kind: 'undone', ticks: last!.ticks }), STEPS).done).toEqual(before);
    }),
  );
});

it('an undo of an undo, of a note, or of nothing changes no count', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { done } = foldMake(events, STEPS);
      const others = events.filter(({ kind }) => kind !== 'ticked' && kind !== 'placed').map(({ id }) => id);
      expect(foldMake(add(events, 'u', { kind: 'undone', ticks: [...others, 'nothing'] }), STEPS).done).toEqual(done);
    }),
  );
});

it('loses no note, and tells the latest time', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { notes, lastAt } = foldMake(events, STEPS);
      expect(notes).toHaveLength(events.filter(({ kind }) => kind === 'noted').length);
      const times = events.map(({ at }) => at).sort();
      expect(lastAt).toBe(times.at(-1) ?? null);
    }),
  );
});
