import { TERN_POINT } from '../demo';
import type { Plan } from '../plan/plan';
import { FIRST_FABRIC, planFor } from '../plan/newPlan';
import { proposalsFor, shapeTaking, withWhatGoes } from './proposals';
import { reckon } from '../reckon/reckon';
import { carrierDefinition } from '../craft/things';
import { withShape } from '../plan/withShape';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const proposed = (plan: Plan) => proposalsFor(plan).map(({ id }) => id);

describe('what goes with a plan', () => {
  it('is dividers for tools, until they are there', () => {
    const wrap = planOf('hook wrap');
    const bare = { ...wrap, fittings: (wrap.fittings ?? []).filter(({ kind }) => kind !== 'dividers') };
    expect(proposed(bare)).toContain('dividers');
    const [proposal] = proposalsFor(bare);
    expect(proposed(proposal!.plan)).not.toContain('dividers');
    expect(reckon(proposal!.plan).fittings.map(({ kind }) => kind)).toContain('dividers');
  });

  it('is a strap on a body, and what carries it says so', () => {
    const pouch = planOf('Field phone');
    expect(proposed(pouch)).toEqual([]);
    const worn = { ...pouch, carrier: carrierDefinition('body').start };
    expect(proposed(worn)).toEqual(['strap']);
  });

  it('is the shape that hangs over a bar, and nothing once it hangs there', () => {
    const caddy = planOf('caddy');
    expect(proposed(caddy)).not.toContain(caddy.shape.kind);
    const hung = { ...planOf('Field phone'), carrier: carrierDefinition('bar').start };
    for (const { id, plan, because } of proposalsFor(hung)) {
      expect(because).toMatch(/\.$/);
      expect(() => reckon(plan)).not.toThrow();
      expect(id).toBe('saddle');
    }
  });

  it('offers a shape for a fitting that was parked, as it was set, and once', () => {
    const pouch = planOf('Field phone');
    const tube = withShape(pouch, 'ring-tube');
    expect(tube.parked!.map(({ kind }) => kind)).toContain('button-loop');
    const taking = shapeTaking(tube, 'button-loop')!;
    expect(taking.plan.fittings!.filter(({ kind }) => kind === 'button-loop')).toEqual(
      pouch.fittings!.filter(({ kind }) => kind === 'button-loop'),
    );
    expect(() => reckon(taking.plan)).not.toThrow();
  });

  it('is on from the start: channels, a saddle over a bar that is still to be measured, a strap', () => {
    const kinds = (plan: Plan) => withWhatGoes(plan).added.map(({ id }) => id);
    const tools = { kind: 'tools', tools: [{ length: { mm: 140 }, grip: { mm: 9 }, count: 5 }] };
    expect(kinds(planFor(tools, FIRST_FABRIC))).toEqual(['dividers']);
    const pouch = planOf('Field phone');
    const hung = withWhatGoes({ ...pouch, carrier: carrierDefinition('bar').start });
    expect(hung.plan.shape.kind).toBe('saddle');
    expect(kinds({ ...pouch, carrier: carrierDefinition('body').start })).toEqual(['strap']);
    expect(withWhatGoes(pouch)).toEqual({ plan: pouch, added: [] });
  });

  it('can be made wherever it is proposed', () => {
    for (const plan of Object.values(TERN_POINT.plans))
      for (const proposal of proposalsFor(plan)) expect(() => reckon(proposal.plan)).not.toThrow();
  });
});
