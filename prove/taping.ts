import type { Happening, KeptEvent, Mended, MendChoice, Plan, Worked } from '@keep-snug/core';
import type { Dice } from './calibration/random';
import type { Drawn, Scene } from './calibration/scenes';
import { read, type Fabric, type World } from './calibration/truth';
import { fits, type Fit } from './calibration/verdict';

export interface Doors {
  reckon: (plan: Plan) => Worked;
  mend: (plan: Plan, events: readonly KeptEvent[]) => Mended;
  applyChange: (plan: Plan, change: Readonly<Record<string, unknown>>) => Plan;
}

export const WORLD: World = { wider: 1, bias: 0 };

/** A piece usually drifts by so much from its beginning to its end, and its first course lies so much wider. */
export const DRIFT = 0.01;
const FIRST_WIDER = 0.02;

/** Besides, each course at which a width is taken strays by so much (handbook 2.1). */
const STRAYS = 0.015;

/** They measure after the first course and every so often. */
const EVERY_MM = 40;

/** Rows so high together are worth laying the tape on. */
const READ_OVER_MM = 10;

/** What is taken: the ways of which these pieces can be built; of each shape. */
const COUNTS = /^(carry-on|rows-to-come|(change|other)-count)$/;
const isTaken = (id: string, { mends }: Scene): boolean => COUNTS.test(id) || (mends?.test(id) ?? false);

/** A plan reckoned; nothing where it is refused: nobody makes it. */
export function reckoned({ reckon }: Doors, plan: Plan): Worked | undefined {
  try {
    return reckon(plan);
  } catch (error) {
    if (!(error instanceof Error) || !('errors' in error)) throw error;
    return undefined;
  }
}

/** What a maker takes of a plan's own advice before she begins: another hook, or another edging; the shape stays. */
const TAKEN = new Set(['fabric.hookMm', 'shape.edging', 'shape.edgingOf']);

/** The plan with what it advises itself. */
export function asAdvised(doors: Doors, plan: Plan): Plan {
  const change = reckoned(doors, plan)?.advice.find(
    (one) => one.change && Object.keys(one.change).every((path) => TAKEN.has(path)),
  )?.change;
  return change ? doors.applyChange(plan, change) : plan;
}

/** A plan as it was followed to its end. */
export interface Followed {
  worked: Worked;
  plan: Plan;
}

export const itFits = (
  { made, thing }: Drawn,
  { worked: { steps }, plan: { shape } }: Followed,
  truth: Fabric,
  fit: Fit,
  { stretch }: Scene,
): boolean => fits(made(steps, truth, shape), thing, fit, stretch);

/** Width of a single on a hook, mm (prior, handbook 2.1). */
const singleOn = (hookMm: number, metres: number): number => 0.8 * hookMm + 1.3 * 3.4 * (120 / metres) ** 0.75;

/** A fabric on another hook strays from what the hooks say by so much (prior, handbook 2.1). */
export const OTHER_HOOK = 0.03;

/** How much larger stitches come on the hook that was changed to; nothing where none was. */
function changedBy({ fabric: { bands, hookMm, yarn } }: Plan, strays: number): number | undefined {
  const other = bands?.find((band) => band.hookMm !== undefined)?.hookMm;
  const metres = yarn.metresPer100g!;
  return other && (singleOn(other, metres) / singleOn(hookMm, metres)) * strays;
}

/** The fabric of a piece that was finished on another hook: as tight as its tightest part, as tall as its rows come to. */
export function finishedOn(truth: Fabric, { plan, worked }: Followed, strays: number): Fabric {
  const by = changedBy(plan, strays);
  const { w, h } = truth.piece;
  if (by === undefined) return truth;
  const { bands, rows, sections } = worked.pieces[0]!;
  const front = sections.find(({ name }) => name === 'front')?.rows ?? rows;
  const before = Math.min(front, bands!.find((band) => band.hookMm !== undefined)!.from - 1);
  return { ...truth, piece: { w: Math.min(w, by * w), h: (h * (before + by * (front - before))) / front } };
}

/** What came of the tape. */
interface Taped {
  /** Times the work was pulled out. */
  ripped: number;
  /** The chance that was told when the tape was laid on it for the last time, of the way that was taken. */
  said: number | undefined;
  /** All that happened, for whoever learns of it. */
  events: readonly KeptEvent[];
}

/** Made with a tape in hand: measured after the first course and every 40 mm, what is recommended taken each time. */
export function withTape(
  doors: Doors,
  plan: Plan,
  { truth, strays, drift = DRIFT }: { truth: Fabric; strays: number; drift?: number },
  scene: Scene,
  dice: Dice,
): Followed & Taped {
  const events: KeptEvent[] = [];
  const happened = (what: Happening) =>
    events.push({ id: `e${events.length}`, make: 'm', device: 'd', at: '', n: events.length + 1, ...what });
  let ripped = 0;
  let decided: string | null = null;
  let said: number | undefined;
  for (let turn = 0; turn < 60; turn += 1) {
    const { worked, state, plan: now } = doors.mend(plan, events);
    const piece = worked.pieces[0]!;
    const steps = worked.steps.filter(
      (step) => step.piece === piece.id && (step.kind === 'foundation' || step.row !== null),
    );
    const done = new Set(state.done);
    const left = steps.filter(({ id }) => !done.has(id));
    if (left.length === 0) break;
    const rows = steps.length - left.length;
    const many = rows < 2 ? 2 - rows + (steps[0]!.row === 1 ? -1 : 0) : Math.round(EVERY_MM / truth.piece.h);
    const next = left.slice(0, Math.max(1, many));
    for (const { id } of next) happened({ kind: 'ticked', step: id, under: decided });
    const last = next.at(-1)!;
    const course = last.row ?? 0;
    if (course === 0) continue;
    const band = piece.bands?.find(({ from, to }) => course >= from && course <= to);
    const on = band?.hookMm === undefined ? 1 : changedBy(now, strays)!;
    const since = band?.hookMm === undefined ? course : course - band.from + 1;
    const here = 1 + STRAYS * dice.normal();
    const wide =
      here * on * truth.piece.w * (1 + drift * (course / piece.rows - 0.5)) * (course === 1 ? 1 + FIRST_WIDER : 1);
    const tape = (what: 'stitches' | 'rows', count: number, size: number) =>
      happened({
        kind: 'measured',
        piece: piece.id,
        what,
        count,
        mm: Math.max(1, read(dice, WORLD, 'tape', count * size)),
        by: 'tape',
        atStep: last.id,
      });
    tape('stitches', last.ends ?? piece.stitches, wide);
    const high = on * highOf(piece, course - since + 1, course, truth);
    if (high >= READ_OVER_MM) tape('rows', since, high / since);
    const choice = taken(doors.mend(plan, events).choices, scene);
    said = choice?.chance ?? said;
    if (!choice || choice.id === 'carry-on') continue;
    if (choice.from) ripped += 1;
    decided = `e${events.length}`;
    happened({ kind: 'decided', choice: choice.id, from: choice.from, plan: choice.plan });
  }
  const { worked, plan: followed } = doors.mend(plan, events);
  return { worked, plan: followed, ripped, said, events };
}

/** How high rows of a piece come to, mm: those of half doubles as they are. */
function highOf(
  { bands = [] }: Pick<Worked['pieces'][number], 'bands'>,
  from: number,
  to: number,
  { piece: { h }, halfDouble }: Fabric,
): number {
  return Array.from({ length: to - from + 1 }, (_, index) => from + index).reduce((sum, row) => {
    const band = bands.find((one) => row >= one.from && row <= one.to);
    return sum + (band?.stitch === 'half-double' ? halfDouble : h);
  }, 0);
}

/** What is recommended, or of the ways these pieces can be built from the surest. */
function taken(choices: readonly MendChoice[], scene: Scene): MendChoice | undefined {
  const possible = choices.filter(({ id }) => isTaken(id, scene));
  const best = possible.find(({ recommended }) => recommended);
  return best ?? [...possible].sort((a, b) => b.chance - a.chance)[0];
}
