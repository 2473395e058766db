import { TERN_POINT, ternPointEvents } from '../../demo';
import { EVERYTHING_FORMAT, readEverything } from './everything';

const events = ternPointEvents();
const file = { format: EVERYTHING_FORMAT, ...TERN_POINT, events };
const copy = () => JSON.parse(JSON.stringify(file)) as typeof file & Record<string, unknown>;

it('reads back what was saved, whole', () => {
  const { everything, faults } = readEverything(copy())!;
  expect(faults).toEqual([]);
  expect({ format: EVERYTHING_FORMAT, ...everything }).toEqual(JSON.parse(JSON.stringify(file)));
});

it('takes a file that has less in it', () => {
  expect(readEverything({ format: EVERYTHING_FORMAT })).toEqual({
    everything: { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {}, hours: {}, batches: {}, events: [] },
    faults: [],
  });
});

it('is none of other files', () => {
  for (const other of [null, 7, [], {}, { format: 'keep-snug.plan/1' }, TERN_POINT])
    expect(readEverything(other)).toBeUndefined();
});

it('leaves out what is not of its format, each told by its place, and keeps the rest', () => {
  const [id] = Object.keys(TERN_POINT.plans) as [string];
  const broken = copy();
  broken.plans[id]!.title = '';
  (broken.things as Record<string, unknown>).flask = Object.values(TERN_POINT.things)[0];
  (broken.events[3] as { kind: string }).kind = 'danced';
  const { everything, faults } = readEverything(broken)!;
  expect(faults.map(({ path }) => path)).toEqual([`plans.${id}.title`, 'things.flask.id', 'events[3].kind']);
  expect(Object.keys(everything.plans)).toHaveLength(Object.keys(TERN_POINT.plans).length - 1);
  expect(everything.events).toHaveLength(events.length - 1);
  expect(readEverything({ ...copy(), plans: [], events: {} })!.faults.map(({ path }) => path)).toEqual([
    'plans',
    'events',
  ]);
});
