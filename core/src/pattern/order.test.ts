import type { Work } from '../piece';
import type { WorkStep } from '../shapes';
import { inOrder } from './order';

const step = (id: string, does: readonly Work[], more: Partial<WorkStep> = {}): WorkStep => ({
  id,
  section: 'x',
  kind: 'assembly',
  does,
  ...more,
});

const sewn = (id: string, more: object = {}): Work => ({ do: 'sew', id, mm: 0, says: 'sew it.', ...more });
const joined: Work = { do: 'fold', fold: { id: 'fold', inside: 'wrong', lays: [] } };
const filled: Work = { do: 'fill', says: 'Put it in.' };

const ids = (steps: readonly WorkStep[]) => inOrder(steps).map(({ id }) => id);

it('sews to an open layer before the sides are joined, and ends when nothing is left to be woven in', () => {
  const steps = [
    step('carry', [filled]),
    step('ends', [{ do: 'weave-in', pieces: 'all' }]),
    step('button', [filled, { do: 'empty' }, sewn('button')]),
    step('zip', [sewn('zip')]),
    step('tassel', [sewn('tassel')], { kind: 'finish' }),
    step('sides', [joined]),
    step('pocket', [sewn('pocket', { open: true })]),
    step('marks', [{ do: 'mark', says: 'Mark it.' }]),
    step('cut', [{ do: 'fasten-off' }], { after: 'body' }),
  ];
  expect(ids(steps)).toEqual(['pocket', 'marks', 'cut', 'sides', 'zip', 'button', 'tassel', 'ends', 'carry']);
});

it('puts on a cord what slides on it before its ends are knotted, however it is listed', () => {
  const bobble = step('bobble', [sewn('bobble')], { follows: ['thread'] });
  const knot = step('knot', [sewn('knot')], { follows: ['thread', 'bobble'] });
  const thread = step('thread', [sewn('thread')]);
  for (const steps of [
    [bobble, knot, thread],
    [thread, knot, bobble],
    [knot, thread, bobble],
  ])
    expect(ids(steps)).toEqual(['thread', 'bobble', 'knot']);
  // what it follows may not be there
  expect(ids([knot])).toEqual(['knot']);
});
