import { reckon, type Plan } from '@keep-snug/core';
import { TERN_POINT } from '@keep-snug/core/demo';
import { drawnFor, readerOf } from './useWorked';

const phone = Object.values(TERN_POINT.plans)[0]!;
const reader = readerOf({
  terms: 'UK',
  hand: 'left',
  units: 'cm',
  habits: { rounds: 'joined', turningChainCounts: false, ring: 'wrapped', foundation: 'chain' },
});

const reckoned = (plan: Plan) => {
  const { views, choices } = reckon({
    ...plan,
    schools: { ...reader.habits, ...plan.schools, terms: 'UK', hand: 'left', units: 'cm' },
  });
  return { views, choices };
};

describe('what a hand that draws sees', () => {
  it('is what the reckoning says, whatever was drawn before it', () => {
    const wider: Plan = { ...phone, thing: { ...phone.thing, width: { mm: 90 } } as Plan['thing'] };
    const states = [phone, { ...phone, picks: { width: 18 } }, wider, { ...wider, picks: { width: 19 } }, phone];
    for (const plan of states) expect(drawnFor(plan, reader, true)).toEqual(reckoned(plan));
  });

  it('is nothing while the plan cannot be worked out, and comes back with it', () => {
    const misplaced: Plan = { ...phone, shape: { kind: 'saddle' } };
    expect(drawnFor(misplaced, reader, true)).toBeNull();
    expect(drawnFor(phone, reader, true)).toEqual(reckoned(phone));
  });
});
