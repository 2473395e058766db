import { TERN_POINT } from '../demo';
import { stepsAfter } from '../reckon';
import type { WorkStep } from '../shapes';
import { workOut } from '../workOut';
import { orderFaults } from './order';

const step = (id: string, more: Partial<WorkStep>): WorkStep => ({
  id,
  section: 'x',
  kind: 'assembly',
  phase: 'joining',
  text: '',
  ...more,
});

it('finds what must be reached after it was closed', () => {
  const sew = step('sew-pocket', { reaches: ['between the layers'] });
  const close = step('join-sides', { closes: ['between the layers'] });
  expect(orderFaults([sew, close])).toEqual([]);
  expect(orderFaults([close, sew])).toEqual(['sew-pocket must reach between the layers, and join-sides has closed it']);
});

it.each(Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const))(
  'nothing is sewn shut in %s',
  (_, plan) => {
    const steps = stepsAfter(workOut(plan));
    expect(orderFaults(steps)).toEqual([]);
    expect(
      steps.some(({ closes = [] }) => closes.length > 0) ||
        plan.shape.kind === 'disc-wall' ||
        plan.shape.kind === 'round-chain',
    ).toBe(true);
  },
);
