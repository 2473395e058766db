import { MARK_FIRST_STITCH } from '../common/markers';
import {
  changeRound,
  discToWall,
  endedOn,
  flatIncrease,
  multipleOf,
  nearestCounts,
  refuseBeyond,
  shareOut,
  typedAdvice,
  typedCounts,
  type Growth,
} from '../../craft/counts';
import { lastFabric, work, type BaseId, type Instruction, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Advice, type Figure } from '../../base/figure';
import { baseSuits, tubeGirth, type Want } from '../../craft/fit';
import { formatNumber, mmToken, plural, type Field, type FieldValues } from '../../base/units';
import type { Band } from '../../piece';
import type { Built, Choice, Course, Piece, ShapeContext, ShapeDefinition } from '../definition';
import {
  acrossFrom,
  bandsDrawn,
  cutTube,
  floorDrawn,
  floorTail,
  panel,
  sideBySide,
  standing,
  tubeTails,
  uprightFrom,
  type Part,
  type RowLines,
  type View,
  roundsDrawn,
} from '../../drawing';
import { nearestAsWorked } from '../common/asWorked';
import { baseSizes } from '../common/baseSizes';
import { chosenCount, pickAdvice } from '../common/choice';
import { BASE_ROUNDS, baseSchools, closedUnder, bandRounds, levelOnLast, roundOf, staggered } from '../common/courses';
import { coverDrive } from '../common/drive';
import { lessRim, sizedWithRim, withRim } from '../common/flat';
import { roundPiece, roundsFor, wallBands, type RoundRun } from '../common/roundPiece';
import { alikeRows } from '../common/rowPiece';
import { alsoOf, sized } from '../common/sized';
import { facingOf, LEVEL_SLIPS, mouthOf, SHOWS, tubeEnd, tubeMouth } from '../common/tubeWork';
import { flatWidth, tubeRound } from '../common/tube';
import { ONE_ROOM } from '../common/takes';

type Mm = Figure<'mm'>;

const number = (key: string, label: string, help: string, min: number, max: number): Field => ({
  key,
  kind: 'number',
  label,
  help,
  unit: 'stitches',
  whole: true,
  min,
  max,
  optional: true,
});

const options: readonly Field[] = [
  {
    key: 'base',
    kind: 'choice',
    label: 'Base worked in',
    options: (['single', 'half-double', 'double'] as const).map((id) => ({ id, name: `{${id}}` })),
    default: 'single',
  },
  number('start', 'Stitches in the ring', 'Left empty: as many as lie flat.', 3, 24),
  number('each', 'More in each round', 'Left empty: as many as lie flat.', 1, 24),
  {
    key: 'doublings',
    kind: 'number',
    label: 'Rounds of twice as many first',
    unit: 'rounds',
    whole: true,
    min: 0,
    max: 3,
    default: 0,
  },
  {
    key: 'counts',
    kind: 'text',
    label: 'Stitches of each round of the base',
    help: 'One after the other: 6, 12, 24, 30, 36. Left empty: as the numbers above say.',
    max: 400,
    optional: true,
    refines: true,
  },
  {
    key: 'cupped',
    kind: 'choice',
    label: 'The base',
    help: 'More than lies flat ruffles, less cups: a round bottom is made by fewer.',
    options: [
      { id: 'flat', name: 'is to lie flat' },
      { id: 'on-purpose', name: 'may cup or ruffle: it is meant to' },
    ],
    default: 'flat',
  },
  {
    key: 'wallOf',
    kind: 'choice',
    label: 'Stitches round',
    help: 'A multiple of what the base adds needs no uneven last round.',
    options: [
      { id: 'nearest', name: 'as near as they come' },
      { id: 'multiple', name: 'a multiple of what the base adds, where that costs half a stitch at most' },
    ],
    default: 'nearest',
  },
  BASE_ROUNDS,
  {
    key: 'takeIn',
    kind: 'choice',
    label: 'At the shoulder',
    options: [
      { id: 'none', name: 'straight up' },
      { id: 'shoulder', name: 'taken in to the neck' },
    ],
    default: 'none',
  },
  SHOWS,
  LEVEL_SLIPS,
];

/**
 * A disc from the ring outwards, then a wall straight up, taken in at the shoulder where it is wanted (handbook 4.1 and
 * 5.5). The base is in a plain stitch, the wall in the plan's own.
 */
function build(asked: ShapeContext): Built {
  const context = endedAsTyped(asked);
  const { fabric, thing, options: given, schools } = context;
  const baseId = given.base as BaseId;
  const base = fabric.also(baseId, 'rounds');
  const { choice, n, girth } = tubeRound(context, fabric, 4, [], [], growsBy(context, base));
  const count = chosenCount(choice);
  const disc = discOf({ ...context, schools: baseSchools(context) }, base, count);
  const wanted = wallHeights(context);
  const { rounds: wallRounds, bands } = wallBands(wanted.wall, fabric);
  const top = bands.at(-1)!;
  const shoulder = wanted.shoulder ? shoulderOf(context, bands, count, wanted.shoulder) : undefined;
  const r = alikeRows(chosen(wallRounds, 'rows', 'rounds of the wall'), fabric);
  const h = fabric.rowHeight;
  const t = fabric.thickness;
  const plain = plainOf(top.fabric);
  const s = chosen(shoulder?.courses.length ?? 0, 'rows', 'rounds of the shoulder');
  const depth = sizedWithRim(
    sized(
      shoulder ? 'inside = wall rounds × h + shoulder rounds × h of its stitch − πt/4' : 'inside = rounds × h − πt/4',
      { r, h, s, share: chosen(plain.rowHeight.value / h.value, '1', 'the shoulder’s round against the wall’s'), t },
      (v) => v.r * v.h + v.s * v.share * v.h - (Math.PI * v.t) / 4,
    ),
    context,
  );
  const height = derive(
    'mm',
    'height = rounds × h',
    { r, h, s, share: chosen(plain.rowHeight.value / h.value, '1', 'the shoulder’s round against the wall’s') },
    (v) => (v.r + v.s * v.share) * v.h,
  );
  const width = flatWidth(n, fabric.stitchWidth);
  const runs: RoundRun[] = [
    {
      name: 'base',
      courses: closedUnder(disc.courses, baseSchools(context), schools),
      fabric: base,
      wanted: disc.radius,
    },
    {
      name: 'wall',
      courses: bandRounds(bands, count, schools, 'wall', { upon: 'plain', on: base.stitch.base }),
      fabric,
      wanted: wanted.wall,
      ...(fabric.bands ? { bands } : {}),
    },
    ...(shoulder && wanted.shoulder
      ? [{ name: 'shoulder', courses: shoulder.courses, fabric: plain, wanted: wanted.shoulder }]
      : []),
  ];
  const start = disc.counts[0]!;
  const stays = shoulder ? staysOn(context, plain, shoulder.neck) : [];
  if (stays.length > 0 && facingOf(given))
    throw new PlanProblem([
      {
        path: 'shape.shows',
        message:
          'It is worked around the item and stays on: it cannot be turned inside out. Choose “the side that faces you”, or leave the sides straight up.',
      },
    ]);
  const made = roundPiece({
    facing: facingOf(given),
    id: 'body',
    name: 'Bag',
    foundation: { kind: 'ring', count: start, edge: 'closed' },
    foundationFigure: derive(
      'stitches',
      'into the ring: as many as each round adds, unless chosen',
      { h: base.rowHeight, w: base.stitchWidth },
      () => start,
    ),
    stitches: n,
    runs,
    main: fabric,
    width,
    height,
    summary: `Ring of ${start}, base of ${plural(disc.counts.length, 'round')} to ${count}; ${plural(wallRounds, 'round')} of wall${shoulder ? `; taken in to ${shoulder.neck}` : ''}`,
    notes: {
      1: MARK_FIRST_STITCH,
      [disc.counts.length]: 'The base is done.',
      ...(stays.length > 0 ? { [disc.counts.length + wallRounds]: STAYS_ON } : {}),
    },
  });
  const piece: Piece = given.cupped === 'on-purpose' ? { ...made, cupped: true } : made;
  return {
    pieces: [piece],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: withRim(height, context),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      wander: { courses: wallRounds, lies: 'round' },
      stretch: fabric.stitch.factors.stretchAcross,
      also: alsoOf(girth, depth),
      ...(given.cupped === 'on-purpose' ? {} : { wants: [baseWant(disc, base, fabric, n)] }),
    },
    mouth: shoulder
      ? { piece: 'body', fabric: plain, from: piece.rows, to: piece.rows, stitches: shoulder.neck }
      : mouthOf(piece, top, count),
    ...(shoulder ? { upright: mouthOf({ id: piece.id, rows: disc.counts.length + wallRounds }, top, count) } : {}),
    assembly: tubeEnd(
      piece,
      stays.length > 0
        ? 'Does the last round come where you want it on the item?'
        : 'Stand the item in it: does the last round come where you want it?',
      given,
    ),
    ...tubeMouth(piece, schools),
    advice: [...roundAdvice(pickAdvice(choice, fabric.stitch.rounds), context, choice), ...disc.advice, ...stays],
    views: views(context, piece, disc.counts, wallRounds, count, base, shoulder),
  };
}

const STAYS_ON =
  'Put the item in now: the next rounds are worked around its shoulder, and it does not come out through them again.';

/** Taken in so far that the thing does not pass, even stretched: it is worked around it, and what would let it out (handbook 3). */
function staysOn({ thing }: ShapeContext, plain: WorkedFabric, neck: number): Advice[] {
  const mouth = neck * plain.stitchWidth.value - Math.PI * plain.thickness.value;
  if (mouth * (1 + plain.stitch.factors.stretchAcross) >= thing.girth.value) return [];
  return [
    {
      id: 'stays-on',
      severity: 'advice',
      text: `Taken in to the neck it opens ${mmToken(mouth)} around, and the item is ${mmToken(thing.girth.value)}. It is worked around it and stays on.`,
      repair: 'To take the item out, leave the sides straight up and close them with a drawstring.',
      change: { 'shape.takeIn': 'none' },
      at: 'shape.takeIn',
    },
  ];
}

/** What a shoulder is worked in: the wall's stitch plainly. */
const plainOf = (wall: WorkedFabric): WorkedFabric => wall.also(wall.stitch.base, 'rounds');

/** Its base, flat, as large round as the wall: of the wall's own stitch or of another. */
function baseWant(
  { counts, own }: ReturnType<typeof discOf>,
  base: WorkedFabric,
  wall: WorkedFabric,
  n: Figure<'stitches'>,
): Want {
  const { w, h, also } = baseSizes(base, wall);
  return baseSuits(
    {
      flat: (sample) => 2 * Math.PI * counts.length * h(sample),
      stitches: (sample) => own * w(sample),
      wall: (sample) => n.value * sample.w,
    },
    also,
  );
}

/**
 * Where the rounds of the base are typed, the wall has as many stitches as the last of them.
 *
 * @throws PlanProblem where another count is picked for it
 */
function endedAsTyped(context: ShapeContext): ShapeContext {
  const counts = typedCounts(context.options.counts, 'shape.counts');
  if (!counts) return context;
  const last = counts.at(-1)!;
  const picked = context.picks.round;
  if (picked !== undefined && picked !== last)
    throw new PlanProblem([
      {
        path: 'shape.counts',
        message: `The base is typed to end on ${last} stitches, and ${picked} are picked for the sides. End on ${picked}, or pick ${last}.`,
      },
    ]);
  return { ...context, picks: { ...context.picks, round: last } };
}

/** What there is to say of the count round: where the rounds of the base are typed, it is their list that has to end otherwise. */
function roundAdvice(advice: readonly Advice[], { options }: ShapeContext, { options: counts }: Choice): Advice[] {
  const typed = typedCounts(options.counts, 'shape.counts');
  const best = counts.find((option) => option.best)!.count;
  if (!typed) return [...advice];
  const list = endedOn(typed, best);
  return advice.map(({ id, severity, text }) => ({
    id,
    severity,
    text,
    repair: `Let the list of the base’s rounds end on ${best}${list ? `: ${list}` : ''}.`,
    at: 'shape.counts',
    ...(list ? { change: { 'shape.counts': list } } : {}),
  }));
}

/** The diameter the base must have: the thing's own; of a bag given flat, that of the round it makes. */
function baseDiameter({ thing, fit }: ShapeContext): Mm {
  if (thing.profile === 'given') return derive('mm', 'b = g / π', { g: thing.girth }, (v) => v.g / Math.PI);
  return derive('mm', 'b = (g + ease) / π', { g: thing.girth, ease: fit.girthEase }, (v) => (v.g + v.ease) / Math.PI);
}

/** What a base adds each round where nobody says it: a wall of as many times that needs no odd last round (handbook 4.1). */
function growsBy({ options: { wallOf, start, each, doublings, counts } }: ShapeContext, base: WorkedFabric): number[] {
  if (counts !== undefined) return [];
  if (wallOf !== 'multiple' || start !== undefined || each !== undefined || Number(doublings) > 0) return [];
  const flat = Math.max(3, Math.round(flatIncrease(base.rowHeight.value, base.stitchWidth.value)));
  return base.stitch.id === 'single' ? [flat, 6] : [flat];
}

/** How the base grows: as chosen, as it was begun, else as lies flat. */
function growthOf(
  { start, each, doublings }: FieldValues,
  worked: readonly number[] = [],
  flat: number,
): { start: number; each: number } {
  const [from, to] = worked.slice(Number(doublings));
  const grows = from !== undefined && to !== undefined && to > from ? to - from : undefined;
  const more = Number(each ?? grows ?? worked[0] ?? flat);
  return { start: Number(start ?? worked[0] ?? each ?? flat), each: more };
}

/** What the first rounds of a base of k end on, and those of the wall upon it as far as it is worked. */
function countsUpTo(growth: Growth, k: number, wall: number, worked: readonly number[] = []): readonly number[] {
  const { counts } = discToWall(growth, k, wall, 1, 1);
  return [...counts, ...worked.slice(counts.length).map(() => wall)];
}

/** Rounds of the base `k = round((b/2) / h)`, counts to the wall's (law, handbook 4.1). */
function discOf(context: ShapeContext, base: WorkedFabric, wall: number) {
  const { options: given, schools } = context;
  const h = base.rowHeight.value;
  const w = base.stitchWidth.value;
  const flat = Math.max(3, Math.round(flatIncrease(h, w)));
  const worked = context.worked?.body;
  const growth = { ...growthOf(given, worked, flat), doublings: Number(given.doublings) };
  const { start, each } = growth;
  const radius = derive('mm', 'b / 2', { b: baseDiameter(context) }, (v) => v.b / 2);
  const typed = typedCounts(given.counts, 'shape.counts');
  const rounds = nearestAsWorked(roundsFor(radius, base), worked, (k) => countsUpTo(growth, k, wall, worked));
  refuseBeyond(start * 2 ** Number(given.doublings) + each * rounds, 'stitches', 'thing');
  const { counts, own, advice } = typed
    ? { counts: typed, own: typed.at(-1)!, advice: typedAdvice(typed, h, w) }
    : discToWall(growth, rounds, wall, h, w);
  const stitch = base.stitch.id;
  const courses = counts.map((ends, index): Course => {
    const before = counts[index - 1];
    const body: Instruction[] =
      before === undefined ? [work(stitch, ends, 'ring')] : changeRound(before, ends, stitch, staggered(index));
    return roundOf(body, ends, base.stitch.base, schools, 'base');
  });
  return { counts, own, courses, radius, advice: given.cupped === 'on-purpose' ? [] : advice };
}

/** Heights of wall and shoulder (law, handbook 3): the wall turns up out of the base by a quarter turn. */
function wallHeights(context: ShapeContext): { wall: Mm; shoulder?: Mm } {
  const { thing, fit, fabric, options: given } = context;
  const t = fabric.thickness;
  const whole = derive(
    'mm',
    'wall = H + cover ease + πt/4',
    { H: thing.height, cover: fit.coverEase, t },
    (v) => v.H + v.cover + (Math.PI * v.t) / 4,
  );
  const at = shoulderHeight(thing.stations);
  if (given.takeIn !== 'shoulder' || at === undefined || at >= thing.height.value)
    return { wall: lessRim(whole, context) };
  const from = chosen(at, 'mm', 'height of the shoulder');
  return {
    wall: derive('mm', 'wall = shoulder + πt/4', { shoulder: from, t }, (v) => v.shoulder + (Math.PI * v.t) / 4),
    shoulder: lessRim(
      derive(
        'mm',
        'shoulder = H + cover ease − height of the shoulder',
        { H: thing.height, cover: fit.coverEase, from },
        (v) => v.H + v.cover - v.from,
      ),
      context,
    ),
  };
}

function shoulderHeight(stations: ShapeContext['thing']['stations']): number | undefined {
  const neck = stations?.find(({ name }) => name === 'neck');
  return neck ? stations?.find(({ name }) => name === 'shoulder')?.height : undefined;
}

/**
 * Rounds that lead from the wall's count to the neck's, taking in evenly (law, handbook 4.1: increases backwards); an
 * open wall is levelled by a plain round first.
 */
function shoulderOf({ thing, fit, schools }: ShapeContext, bands: readonly Band[], count: number, height: Mm) {
  const plain = plainOf(bands.at(-1)!.fabric);
  const neck = thing.stations!.find(({ name }) => name === 'neck')!;
  const girth = chosen(Math.PI * neck.diameter, 'mm', 'round the neck');
  const ease = derive(
    'mm',
    'ease in proportion',
    { ease: fit.girthEase, g: thing.girth, girth },
    (v) => (v.ease / v.g) * v.girth,
  );
  const asked = tubeGirth(girth, ease, plain.thickness);
  const stitches = nearestCounts({
    askedMm: asked.value,
    sizeOf: (n) => n * plain.stitchWidth.value,
    conditions: [multipleOf({ repeat: 1, edge: 0 })],
    hurts: 'small',
    atLeast: 3,
    path: 'thing.neckDiameter',
  }).find(({ best }) => best)!.count;
  const rounds = roundsFor(height, plain);
  const to = Math.min(count, stitches);
  // a round can at most halve; the rest of the way stays open rather than being forced
  const neckCount = Math.max(to, Math.ceil(count / 2 ** rounds));
  const falls = shareOut(rounds, count - neckCount);
  const courses: Course[] = [];
  let now = count;
  const level = levelOnLast(bands, count, schools);
  if (level) courses.push(roundOf(level, count, plain.stitch.base, schools, 'shoulder'));
  falls.forEach((fall, index) => {
    const next = Math.max(now - fall, Math.ceil(now / 2));
    courses.push(
      roundOf(changeRound(now, next, plain.stitch.id, staggered(index)), next, plain.stitch.base, schools, 'shoulder'),
    );
    now = next;
  });
  return { courses, neck: now, neckMm: neck.diameter };
}

/** What the three views of it show: sizes as they lie, mm, and the counts they are named by. */
interface Standing {
  piece: Piece;
  context: ShapeContext;
  n: number;
  rounds: { base: number; wall: number; shoulder: number };
  /** Stitches where the shoulder ends; those of the wall where there is none. */
  neck: number;
  /** The base, across. */
  across: number;
  wallHigh: number;
  bands: ReturnType<typeof bandsDrawn>;
  shoulderHigh: number;
  baseStitch: string;
  /** Of each round of the shoulder as many stitches as are seen of it. */
  taken: Pick<RowLines, 'rounds' | 'bands'>;
}

function views(
  context: ShapeContext,
  piece: Piece,
  counts: readonly number[],
  wallRounds: number,
  n: number,
  base: WorkedFabric,
  shoulder: ReturnType<typeof shoulderOf> | undefined,
): View[] {
  const { fabric } = context;
  const plain = plainOf(lastFabric(fabric));
  const taken = shoulder?.courses.length ?? 0;
  const it: Standing = {
    piece,
    context,
    n,
    rounds: { base: counts.length, wall: wallRounds, shoulder: taken },
    neck: shoulder?.neck ?? n,
    across: 2 * counts.length * base.rowHeight.value,
    wallHigh: piece.reach(counts.length + wallRounds) - piece.reach(counts.length),
    bands: bandsDrawn(piece, counts.length + 1, counts.length + wallRounds),
    shoulderHigh: taken * plain.rowHeight.value,
    baseStitch: base.stitch.id,
    taken: {
      ...roundsDrawn(
        (shoulder?.courses ?? []).map(({ ends }) => Math.floor(ends / 2)),
        plain.stitch.id,
      ),
      ...(taken > 0 ? bandsDrawn(piece, counts.length + wallRounds + 1) : {}),
    },
  };
  const half = (n * fabric.stitchWidth.value) / 2;
  const neckHalf = shoulder ? (shoulder.neck * plain.stitchWidth.value) / 2 : half;
  const wide = Math.max(it.across, (2 * half) / Math.PI);
  const neckWide = (2 * neckHalf) / Math.PI;
  return [flatView(it, half, neckHalf, counts), standingView(it, wide, neckWide), cutView(it, wide, neckWide)];
}

/** The wall and, above it, the shoulder as they stand, each with what is written on it. */
function body(it: Standing, w: number, top: number, subs: { wall: string; shoulder: string }): Part[] {
  const { rounds, n, shoulderHigh, wallHigh } = it;
  const across = { w, stitches: n / 2 };
  const wall = { role: 'wall', label: 'wall', y: shoulderHigh, h: wallHigh, rows: rounds.wall, ...it.bands } as const;
  const shoulder = {
    role: 'turn',
    label: 'shoulder',
    form: 'taper',
    h: shoulderHigh,
    rows: rounds.shoulder,
    ...it.taken,
  } as const;
  return [
    panel({ ...wall, ...across, sub: subs.wall }),
    ...(rounds.shoulder > 0 ? [panel({ ...shoulder, ...across, top, sub: subs.shoulder })] : []),
  ];
}

function flatView(it: Standing, half: number, neckHalf: number, counts: readonly number[]): View {
  const { context, n, rounds, neck, across, wallHigh, shoulderHigh } = it;
  const high = wallHigh + shoulderHigh;
  const side: Part[] = [
    ...body(it, half, neckHalf, {
      wall: `${rounds.wall} rounds of ${n}`,
      shoulder: `${rounds.shoulder} rounds to ${neck}`,
    }),
    ...tubeTails('floor', { x: (half - neckHalf) / 2, y: 0, h: high }),
    acrossFrom(0, half, { count: `${n} stitches round`, choice: 'round' }),
    uprightFrom(0, high, {
      count: plural(rounds.wall + rounds.shoulder, 'round'),
      drives: coverDrive(context),
    }),
  ];
  const disc: Part[] = [
    panel({
      role: 'base',
      label: 'base',
      sub: `${plural(rounds.base, 'round')} to ${n}`,
      form: 'disc',
      w: across,
      h: across,
      rows: rounds.base,
      stitches: n,
      stacked: 'out',
      ...floorDrawn(counts, it.baseStitch),
    }),
    floorTail(across / 2, across / 2),
    acrossFrom(0, across, { count: plural(rounds.base, 'round') }),
  ];
  const takenIn = rounds.shoulder > 0 ? `; taken in over ${plural(rounds.shoulder, 'round')} to ${neck}` : '';
  return {
    id: 'flat',
    name: 'Flat',
    ...sideBySide([
      { parts: side, width: half, height: high },
      { parts: disc, width: across, height: across },
    ]),
    text: `Base of ${plural(rounds.base, 'round')}, {mm:${formatNumber(across)}} across, ${counts.join(', ')} stitches; wall of ${plural(rounds.wall, 'round')} of ${n}, {mm:${formatNumber(wallHigh)}} high${takenIn}.`,
  };
}

function standingView(it: Standing, wide: number, neckWide: number): View {
  const { context, rounds, neck } = it;
  const high = it.wallHigh + it.shoulderHigh;
  return {
    id: 'folded',
    name: 'Standing',
    width: wide,
    height: high,
    parts: [
      ...body(it, wide, neckWide, { wall: `${rounds.wall} rounds`, shoulder: `to ${neck}` }),
      ...standing(context.thing, 0, wide, high),
      acrossFrom(0, wide),
      uprightFrom(0, high),
    ],
    text: `Standing: {mm:${formatNumber(wide)}} across and {mm:${formatNumber(high)}} high.`,
  };
}

function cutView(it: Standing, wide: number, neckWide: number): View {
  const { thing, fabric } = it.context;
  const t = fabric.thickness.value;
  const high = it.wallHigh + it.shoulderHigh;
  const wall: [number, number][] = [
    [0, it.shoulderHigh],
    [0, high + t],
    [wide, high + t],
    [wide, it.shoulderHigh],
  ];
  const inner = (wide - neckWide) / 2;
  const points: [number, number][] = it.rounds.shoulder > 0 ? [[inner, 0], ...wall, [wide - inner, 0]] : wall;
  return {
    id: 'cut',
    name: 'Cut through',
    width: wide,
    height: high + t,
    parts: [
      { type: 'cut', role: 'wall', points, thickness: t, rows: cutTube(it.piece) },
      ...standing(thing, 0, wide, high + t / 2),
      acrossFrom(0, wide),
      uprightFrom(0, high),
    ],
    text: `Cut through: base and wall of {mm:${formatNumber(t)}} round a thing {mm:${formatNumber(thing.width.value)}} across.`,
  };
}

export const discWall: ShapeDefinition = {
  id: 'disc-wall',
  // what was planned before this could be said stays on its count
  begins: { wallOf: 'multiple' },
  name: 'Round base with sides',
  summary: 'A round base from a ring, then a wall in any stitch, taken in at the shoulder if wanted.',
  why: 'Stands on its base; no seam; made for what is round.',
  worked: 'rounds',
  bands: true,
  options,
  takes: {
    flat: true,
    round: true,
    rods: true,
    several: ONE_ROOM,
    given: true,
  },
  offers: ['open-mouth', 'round-mouth', 'free-back', 'bundle'],
  unsuited: ({ profile, width, depth }) => {
    if (profile === 'round' || profile === 'given') return undefined;
    if (Math.max(width.value, depth.value) <= 1.5 * Math.min(width.value, depth.value)) return undefined;
    return 'Its base is round, and this is flat: use an oval base instead.';
  },
  build,
};
