import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { madeUncounted, stepsToMake } from './copies';
import { foldMake } from './fold';

const wrap = reckon(Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'two-panels')!);
const steps = stepsToMake(wrap.steps);

describe('a panel that is needed twice', () => {
  it('is counted twice, row by row, with its edging, before the step that asks for it', () => {
    const rows = (copy: number | undefined) => steps.filter((step) => step.row !== null && step.copy === copy).length;
    expect(rows(undefined)).toBe(wrap.pieces[0]!.rows);
    expect(rows(2)).toBe(wrap.pieces[0]!.rows);
    const ids = steps.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.indexOf('edging@2')).toBeGreaterThan(ids.indexOf('fasten-off-body'));
    expect(ids.indexOf('second-panel')).toBe(ids.indexOf('fasten-off-body@2') + 1);
    expect(steps.find(({ id }) => id === 'edging@2')!.pieceName).toBe('Panel, 2 of 2');
  });

  it('that was made without being counted is done with what comes after it', () => {
    expect(madeUncounted(steps, new Set(['fasten-off-body']))).toEqual([]);
    const done = madeUncounted(steps, new Set(['second-panel']));
    expect(done).toEqual(steps.filter(({ copy }) => copy !== undefined).map(({ id }) => id));
  });

  it('leaves ticks of earlier versions where they were', () => {
    const event = { kind: 'ticked', make: 'm', device: 'd', at: '2026-05-01T10:00:00.000Z' } as const;
    const unnamed = wrap.steps.slice(0, 40).map((_, n) => ({ ...event, id: `e${n}`, n, received: n }));
    const state = foldMake(unnamed as never, steps);
    expect(state.done).toEqual(foldMake(unnamed as never, wrap.steps).done);
    expect(state.done).toHaveLength(40);
  });
});

it('what is made once stays as it is', () => {
  const phone = reckon(Object.values(TERN_POINT.plans)[0]!);
  expect(stepsToMake(phone.steps)).toEqual(phone.steps);
});
