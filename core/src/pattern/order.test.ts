import { reckon } from '../reckon/reckon';
import type { Plan } from '../plan/plan';
import { TERN_POINT } from '../demo';
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
    step('marks', [{ do: 'mark', piece: 'body', rows: [{ row: 1, after: [3] }], names: ['fold'] }]),
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

describe('what the needle still has to reach', () => {
  const made = (fittings: Plan['fittings'], more: Partial<Plan> = {}) => {
    const { steps } = reckon({ ...Object.values(TERN_POINT.plans)[0]!, ...more, fittings });
    return steps.map(({ id }) => id);
  };
  const inThisOrder = (ids: readonly string[], ...wanted: string[]) =>
    expect(
      wanted.map((id) => ids.indexOf(id)).every((at, index, all) => at >= 0 && (index === 0 || at > all[index - 1]!)),
    ).toBe(true);

  it('is lined after snaps and buttons are on, and the zip is sewn over the lining', () => {
    inThisOrder(made([{ kind: 'flap' }, { kind: 'lining' }, { kind: 'snap' }]), 'sew-snap', 'sew-lining', 'weave-in');
    const wide: Partial<Plan> = { thing: { kind: 'slab', width: { mm: 120 }, height: { mm: 164 }, depth: { mm: 14 } } };
    inThisOrder(made([{ kind: 'zip' }, { kind: 'lining' }], wide), 'sew-lining', 'sew-zip');
    inThisOrder(made([{ kind: 'lining' }, { kind: 'flap' }, { kind: 'button-loop' }]), 'sew-button', 'sew-lining');
  });

  it('has its lines sewn before a pocket lies on them', () => {
    const wrap = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'two-panels')!;
    const pocket = { kind: 'stacked-pockets', count: 1, heightMm: 50 };
    const { steps } = reckon({ ...wrap, fittings: [{ kind: 'dividers' }, pocket] });
    inThisOrder(
      steps.map(({ id }) => id),
      'join-panels',
      'sew-dividers',
      'sew-small-pockets',
    );
    expect(steps.find(({ id }) => id === 'sew-small-pockets')!.text).toMatch(
      /Slip a card inside, so that no stitch goes through to the other side\.$/,
    );
    inThisOrder(
      reckon({ ...wrap, fittings: [pocket] }).steps.map(({ id }) => id),
      'sew-small-pockets',
      'join-panels',
    );
    // lines reach the mouth, and say how long they are
    const [, yarn, lines, long] =
      /about (\d+) cm of yarn, backstitch (\d+) lines through all layers, each (\d+) mm long, from the bottom up to the opening/
        .exec(steps.find(({ id }) => id === 'sew-dividers')!.text)!
        .map(Number);
    expect(10 * yarn!).toBeGreaterThanOrEqual(2 * lines! * long!);
    expect(long!).toBeGreaterThan(140);
  });
});
