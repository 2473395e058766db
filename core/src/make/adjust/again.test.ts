import { TERN_POINT } from '../../demo';
import type { Happening, KeptEvent } from '../log';
import { reckon } from '../../reckon/reckon';
import { planAgain } from './again';
import { mend } from './mend';

const phone = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Field phone pouch')!;
const { outside, pieces } = reckon(phone);

const happened = (...list: Happening[]): KeptEvent[] =>
  list.map((what, index) => ({
    id: `e${index}`,
    make: 'm',
    device: 'd',
    at: '2026-05-01T18:00:00.000Z',
    n: index + 1,
    ...what,
  }));

it('made again, what came out wider has fewer stitches, and comes out as it was meant', () => {
  const again = planAgain(phone, happened({ kind: 'finished', asMade: { width: 1.15 * outside.width.value } }));
  const next = reckon(again);
  expect(next.pieces[0]!.stitches).toBeLessThan(pieces[0]!.stitches);
  expect(next.fabric.stitchWidth.sd!).toBeLessThan(next.fabric.stitchWidth.value * 0.04);
});

it('is as it was meant, not as it was mended', () => {
  const tape: Happening = {
    kind: 'measured',
    piece: 'body',
    what: 'stitches',
    count: 16,
    mm: 115,
    by: 'ruler',
    atStep: null,
  };
  const events = happened(tape);
  const way = mend(phone, events).choices.find(({ plan }) => plan.begun ?? plan.picks)!;
  const mended = [
    ...events,
    ...happened(tape, { kind: 'decided', choice: way.id, from: way.from, plan: way.plan }).slice(1),
  ];
  const again = planAgain(phone, mended);
  expect([again.begun, again.picks, again.shape]).toEqual([undefined, undefined, phone.shape]);
});

it('where nothing was measured it is the plan itself', () => {
  expect(planAgain(phone, happened({ kind: 'finished' }))).toEqual(phone);
});
