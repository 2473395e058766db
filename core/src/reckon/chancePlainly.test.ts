import { TERN_POINT } from '../demo';
import { HAND_RHO, PIECE_STRAYS } from '../craft/fabric';
import {
  chanceOfFit,
  depthWindow,
  drawnFor,
  fitWindow,
  inputsOf,
  isMeasure,
  isOfHand,
  narrowest,
  normals,
  seeded,
  tallyOf,
  tallyWithFirst,
  whatHelps,
  type ChanceInputs,
  type Sample,
} from '../craft/fit';
import { chanceInputs } from './chanceInputs';
import { seedOf } from './chance';
import { workOut } from './build';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

/** The same asked as one would say it: piece by piece, every size drawn where it is needed. Slow, and without any column. */
function plainly(
  inputs: ChanceInputs,
  seed: number,
  draws: number,
  spreads: Readonly<Record<string, number>> = {},
): number {
  const { model, fit, cover = 0, rooms = [], wants = [] } = inputs;
  const figures = inputsOf(inputs);
  const names = Object.keys(figures);
  const uniform = seeded(seed);
  const noise = names.map(() => normals(draws, uniform));
  const sds = names.map((name) => spreads[name] ?? figures[name]!.sd ?? 0);
  const shares = names.map((name, at) => {
    const { kind, value } = figures[name]!;
    if (sds[at] === 0 || !isOfHand(name)) return 0;
    return HAND_RHO * (kind === 'measured' ? Math.min(1, (PIECE_STRAYS * value) ** 2 / sds[at]! ** 2) : 1);
  });
  const hand = shares.filter((share) => share > 0).length < 2 ? undefined : normals(draws, uniform);
  const strays = model.wander ? narrowest(model.wander, inputs.figures.h.value) : undefined;
  const wanders = seeded(seed ^ 0x2545f491);
  const things = seeded(seed ^ 0x5bd1e995);
  const window =
    rooms.length > 0
      ? { from: 1, to: Infinity }
      : fitWindow(fit, model.stretch, model.wander ? fit.useAtNarrowest : fit.useOfStretch);
  let fits = 0;
  for (let piece = 0; piece < draws; piece += 1) {
    const sizes = names.map((name, at) => {
      const own = noise[at]![piece]!;
      const z = hand ? Math.sqrt(shares[at]!) * hand[piece]! + Math.sqrt(1 - shares[at]!) * own : own;
      const { value } = figures[name]!;
      if (sds[at] === 0) return [name, value];
      return [name, isMeasure(name) ? Math.max(1e-6, value + sds[at]! * z) : value * Math.exp((sds[at]! / value) * z)];
    });
    const sample = Object.fromEntries(sizes) as Sample;
    const narrow = strays ? 1 + strays[Math.floor(wanders() * strays.length)]! : 1;
    const inRooms = rooms.map(({ inside, holds, give }) => {
      const z = Math.sqrt(-2 * Math.log(1 - things())) * Math.cos(2 * Math.PI * things());
      const girth = Math.max(1e-6, holds.value + Math.min(holds.sd ?? 0, spreads.g ?? Infinity) * z);
      return (inside(sample) * (1 + give)) / girth;
    });
    const ratio = (rooms.length > 0 ? Math.min(...inRooms) : model.girth(sample) / sample.g) * narrow;
    const depth = model.depth(sample);
    const { least, most } = depthWindow(sample.H, cover, model.flap?.least);
    const covers = depth >= least && depth <= most && (!model.flap || model.flap.reach(sample) >= model.flap.least);
    if (ratio >= window.from && ratio <= window.to && covers && wants.every(({ met }) => met(sample))) fits += 1;
  }
  return fits / draws;
}

it.each(PLANS)('%s: drawn in columns it fits as often as drawn piece by piece', (_, plan) => {
  const inputs = chanceInputs(workOut(plan));
  const seed = seedOf(plan);
  expect(chanceOfFit(inputs, seed, 3000).share).toBe(plainly(inputs, seed, 3000));
  const half = Object.fromEntries(Object.entries(inputsOf(inputs)).map(([name, { sd = 0 }]) => [name, sd / 2]));
  expect(chanceOfFit(inputs, seed, 2000, half).share).toBe(plainly(inputs, seed, 2000, half));
});

it.each(PLANS)('%s: what helps, tried on the first draws, is as on all of them', (_, plan) => {
  const inputs = chanceInputs(workOut(plan));
  const drawn = drawnFor(inputs, seedOf(plan), 20_000);
  const tallies = tallyWithFirst(inputs, drawn, 8000);
  const { ratio, ...counts } = tallyOf(inputs, drawn);
  expect(tallies.all).toMatchObject(counts);
  expect(tallies.all.ratio.mean).toBeCloseTo(ratio.mean, 9);
  expect(tallies.all.ratio.sd).toBeCloseTo(ratio.sd, 6);
  const onAll = whatHelps(inputs, drawn, { all: tallies.all, first: tallies.all });
  for (const { id, share } of whatHelps(inputs, drawn, tallies)) {
    const same = onAll.find((one) => one.id === id);
    // one that helps by next to nothing may be told on the one and not on the other
    expect(Math.abs(share - (same?.share ?? tallies.all.share))).toBeLessThan(0.012);
  }
});
