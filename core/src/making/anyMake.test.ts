import fc from 'fast-check';
import type { MakeEvent } from './events';
import { foldMake } from './fold';

const STEPS = 40;

/** What happened on up to three devices, in some order of time: ticks, what takes them back, notes and endings. */
const history = fc
  .array(
    fc.record({
      kind: fc.constantFrom('ticked', 'ticked', 'ticked', 'undone', 'noted', 'finished', 'reopened'),
      device: fc.constantFrom('phone', 'desk', 'tablet'),
      second: fc.integer({ min: 0, max: 5000 }),
      of: fc.nat(60),
    }),
    { maxLength: 60 },
  )
  .map((list) =>
    list.map(({ kind, device, second, of }, index): MakeEvent => {
      const base = {
        id: `e${index}`,
        make: 'm',
        device,
        at: new Date(Date.UTC(2026, 2, 1) + second * 1000).toISOString(),
      };
      if (kind === 'undone') return { ...base, kind, undoes: `e${of}` };
      if (kind === 'noted') return { ...base, kind, text: `note ${index}`, step: of };
      return { ...base, kind: kind as 'ticked' };
    }),
  );

const ticksOf = (events: readonly MakeEvent[]) => events.filter(({ kind }) => kind === 'ticked');

it('never counts below nothing, nor past the last step', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { done } = foldMake(events, STEPS);
      expect(done).toBeGreaterThanOrEqual(0);
      expect(done).toBeLessThanOrEqual(Math.min(STEPS, ticksOf(events).length));
    }),
  );
});

it('is the same whichever device sent first, and however often each sent', () => {
  fc.assert(
    fc.property(history, fc.integer({ min: 1, max: 99 }), (events, salt) => {
      const byDevice = ['phone', 'desk', 'tablet'].map((device) => events.filter((event) => event.device === device));
      const shuffled = [...byDevice].sort((a, b) => ((a.length * salt) % 7) - ((b.length * salt) % 7)).flat();
      expect(foldMake([...shuffled, ...shuffled], STEPS)).toEqual(foldMake(events, STEPS));
    }),
  );
});

it('takes back what is named last by an undo, and one more tick brings the count on by one', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { done, lastTick } = foldMake(events, 1000);
      const base = { make: 'm', device: 'phone', at: '2027-01-01T00:00:00.000Z' };
      const on = foldMake([...events, { ...base, id: 'one more', kind: 'ticked' }], 1000);
      expect([on.done, on.lastTick]).toEqual([done + 1, 'one more']);
      if (!lastTick) return;
      const back = foldMake([...events, { ...base, id: 'back', kind: 'undone', undoes: lastTick }], 1000);
      expect(back.done).toBe(done - 1);
      expect(back.lastTick).not.toBe(lastTick);
    }),
  );
});

it('an undo of an undo, of a note, or of nothing changes no count', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { done } = foldMake(events, STEPS);
      const base = { make: 'm', device: 'phone', at: '2027-01-01T00:00:00.000Z' };
      const others = events.filter(({ kind }) => kind !== 'ticked').map(({ id }) => id);
      const more = [...others, 'nothing'].map((undoes, index): MakeEvent => ({
        ...base,
        id: `u${index}`,
        kind: 'undone',
        undoes,
      }));
      expect(foldMake([...events, ...more], STEPS).done).toBe(done);
    }),
  );
});

it('loses no note, and tells the time of what came last', () => {
  fc.assert(
    fc.property(history, (events) => {
      const { notes, lastAt } = foldMake(events, STEPS);
      expect(notes).toHaveLength(events.filter(({ kind }) => kind === 'noted').length);
      expect(lastAt).toBe(
        events
          .map(({ at }) => at)
          .sort()
          .at(-1) ?? null,
      );
    }),
  );
});
