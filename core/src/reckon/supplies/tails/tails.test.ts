import { TERN_POINT } from '../../../demo';
import type { Plan } from '../../../plan/plan';
import { reckon } from '../../reckon';
import { TAILS } from './index';

const tote = Object.values(TERN_POINT.plans).find(({ title }) => title.includes('tote'))!;
const withTails = (tails: string): Plan => ({ ...tote, fabric: { ...tote.fabric, tails } });
const changesOf = (plan: Plan) => reckon(plan).steps.filter(({ note }) => note?.includes('Change to'));

describe.each(TAILS.map((one) => [one.id, one] as const))('tails at a change: %s', (id, { atChange, minutes }) => {
  it('say at every change what is done with them, and take their time', () => {
    const changes = changesOf(withTails(id));
    expect(changes).toHaveLength(5);
    for (const { note } of changes)
      if (atChange) expect(note!.endsWith(atChange)).toBe(true);
      else expect(note).toMatch(/Change to \w+ in the last pull-through of this round\.$/);
    const time = (plan: Plan) => reckon(plan).supplies.time.value;
    expect(time(withTails(id)) - time(withTails('inside'))).toBeCloseTo(5 * minutes, 6);
  });
});

it('are woven in where a plan does not say, and cost nothing where no colour is changed', () => {
  expect(reckon(tote).supplies.time.value).toBe(reckon(withTails('weave')).supplies.time.value);
  const { colours: _colours, ...plain } = tote.fabric;
  const time = (tails: string) => reckon({ ...tote, fabric: { ...plain, tails } }).supplies.time.value;
  expect(time('weave')).toBe(time('inside'));
});
