import { MARK_FIRST_STITCH } from './common/markers';
import { BUTTON_THICKNESS_MM, EVEN, refuseBeyond, slotChains } from '../counts';
import { work, type Instruction, type WorkedFabric } from '../fabric';
import { chosen, derive, PlanProblem, sum, type Advice, type Figure } from '../figure';
import { bottomGive } from '../fit';
import { isFlat, mmOf, workBar, type PocketWant, type WorkedBar, type WorkedThing } from '../things';
import { formatLength, formatNumber, LONGEST_MM, plural, type Field, withArticle } from '../units';
import type { Built, Choice, Course, Piece, ShapeContext, ShapeDefinition, ShapeSchools, WorkStep } from './definition';
import { acrossFrom, folds, panel, standing, uprightFrom, type Part, type View } from '../drawing';
import { chosenCount, countChoice, countFigure, pickAdvice } from './common/choice';
import { roundOf } from './common/courses';
import { joinOf } from './common/joins';
import { roundPiece, roundsFor } from './common/roundPiece';
import { fabricRound, sized } from './common/sized';
import { aroundChain } from './roundChain';

type Mm = Figure<'mm'>;

/** Rows of a tab, with its buttonhole in the first of the middle ones. */
const TAB_ROWS = 3;

/** More lop-sided than this, the tabs must hold it, as a share of the heavier side (prior, ours). */
const LOPSIDED = 0.25;

const options: readonly Field[] = [
  {
    key: 'behind',
    kind: 'number',
    label: 'Things in the pocket behind',
    help: 'The last ones of the list. Left empty: shared out evenly.',
    unit: '',
    whole: true,
    min: 0,
    max: 40,
    optional: true,
  },
  {
    key: 'pocketMm',
    kind: 'length',
    label: 'Pocket depth',
    help: 'Left empty: two thirds of the tallest thing.',
    min: 20,
    max: LONGEST_MM,
    optional: true,
  },
  { key: 'buttonMm', kind: 'length', label: 'Tab button diameter', min: 8, max: 60, default: 20 },
];

/** What goes in front and what behind, in the order of the list. */
function sides(thing: WorkedThing, behind: unknown): Shares {
  const wants = thing.wants ?? [
    {
      name: 'it',
      girth: thing.girth,
      height: thing.height.value,
      depth: thing.depth.value,
      wide: thing.width.value,
      tip: thing.width.value,
      massG: thing.mass?.value ?? 0,
      tool: false,
    },
  ];
  const back = behind === undefined ? Math.floor(wants.length / 2) : Math.min(Number(behind), wants.length);
  return { front: wants.slice(0, wants.length - back), back: wants.slice(wants.length - back) };
}

/** Width of a pocket side: half the worked girth of each thing in it, `(g (1 + ease) + πt) / 2` (law, handbook 1). */
function sideWidth(wants: readonly PocketWant[], easeShare: number, t: Mm, name: string): Mm {
  const g = sum(
    'mm',
    'sum of the girths',
    wants.map((want, index) => [`${index + 1} ${want.name}`, want.girth] as const),
  );
  const e = chosen(easeShare, '1', 'ease of the fit');
  return derive(
    'mm',
    `F = (g (1 + e) + ${wants.length} πt) / 2, ${name}`,
    { g, e, t },
    (v) => (v.g * (1 + v.e) + wants.length * Math.PI * v.t) / 2,
  );
}

/**
 * A pocket round a chain, one face of it alone in rows over the bar with a tab at each end, chains across for the
 * second pocket, rounds down to its bottom (handbook 5.8).
 *
 * @throws PlanProblem where there is no bar, or one without a size
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, fit, options: given, carrier, picks } = context;
  refuseBarless(context);
  const bar = workBar(carrier!);
  const { stitchWidth: w, thickness: t } = fabric;
  const shares = sides(thing, given.behind);
  const easeShare = thing.girth.value > 0 ? fit.girthEase.value / thing.girth.value : 0;
  const { wider, loaded } = widerSide(shares, easeShare, t);
  const girthOf = loaded.reduce((total, { girth }) => total + girth.value, 0);
  const choice = roundChoice(context, wider, loaded.length, girthOf);
  const n = countFigure(choice, w, { asked: 'C', size: 'w', count: 'n' }, 'stitches', picks);
  const sizes = sizesOf(context, bar, chosenCount(choice));
  const { half, pocketRounds, spanRows, base, spanMm, slot } = sizes;
  const p = chosen(pocketRounds, 'rows', 'rounds of a pocket');
  const h = base.rowHeight;
  const depth = sized(
    'inside = rounds × h − D/2 − πt/4',
    { p, h, D: thing.depth, t },
    (v) => v.p * v.h - v.D / 2 - (Math.PI * v.t) / 4,
  );
  const width = sized('width = n w / 2', { n, w }, (v) => (v.n * v.w) / 2).figure;
  const height = derive(
    'mm',
    'length = 2 pockets and the span',
    { p, h, span: chosen(spanMm, 'mm', plural(spanRows, 'row')) },
    (v) => 2 * v.p * v.h + v.span,
  );
  const girth = sized(
    `inside = (n w${fabricRound(loaded.length)}) × share`,
    { n, w, t, share: chosen(thing.girth.value / girthOf, '1', 'all girths against those of the wider side') },
    (v) => (v.n * v.w - loaded.length * Math.PI * v.t) * v.share,
  );
  return {
    pieces: [pieceOf(context, sizes, n, width, height)],
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width,
      height: derive(
        'mm',
        'the longer side, from the bar down',
        { drop: bar.dropFront, pocket: depth.figure },
        (v) => v.drop + v.pocket,
      ),
      thickness: sized('D + 2t', { D: thing.depth, t }, (v) => v.D + 2 * v.t).figure,
    },
    choices: [choice],
    // a caddy's things stand out of their pockets: covering is not asked of it
    model: { girth: girth.of, depth: ({ H }) => H, stretch: fabric.stitch.factors.stretchAcross },
    assembly: [...assembly(context, width.value, half, slot), ...partings(shares, half, easeShare, t.value)],
    advice: [...pickAdvice(choice, { repeat: 1, edge: 0 }), ...lopsided(shares)],
    views: views(context, { ...sizes, width: width.value, front: shares.front }),
  };
}

interface Shares {
  front: readonly PocketWant[];
  back: readonly PocketWant[];
}

/** The side that needs the wider pocket, which both are made to, and what lies in it. */
function widerSide({ front, back }: Shares, easeShare: number, t: Mm): { wider: Mm; loaded: readonly PocketWant[] } {
  const wider = sideWidth(front, easeShare, t, 'in front');
  if (back.length === 0) return { wider, loaded: front };
  const behind = sideWidth(back, easeShare, t, 'behind');
  return behind.value > wider.value ? { wider: behind, loaded: back } : { wider, loaded: front };
}

/** The count round a pocket; it judges the wider side against what lies in it. */
function roundChoice(context: ShapeContext, wider: Mm, pockets: number, girthOf: number): Choice {
  const { fabric, thing } = context;
  const [w, t] = [fabric.stitchWidth.value, fabric.thickness.value];
  return countChoice(
    {
      id: 'round',
      name: 'Round',
      noun: 'stitches',
      asked: derive('mm', 'C = 2F, of the wider side', { F: wider }, (v) => 2 * v.F),
      sizeOf: (count) => count * w,
      insideOf: (count) => ((count * w - pockets * Math.PI * t) * thing.girth.value) / girthOf,
      multiple: { repeat: 1, edge: 0 },
      conditions: [EVEN],
      atLeast: 6,
      stretch: fabric.stitch.factors.stretchAcross,
    },
    context,
  );
}

/** Counts of both pockets and of the way over the bar. */
interface Sizes {
  /** Stitches of one face. */
  half: number;
  pocketRounds: number;
  spanRows: number;
  pocketMm: number;
  spanMm: number;
  slot: Slot;
  /** What the pockets are worked in, and the way over the bar. */
  base: WorkedFabric;
  rows: WorkedFabric;
  /** Wanted before counts were whole. */
  pocket: Mm;
  span: Mm;
}

function sizesOf(context: ShapeContext, bar: WorkedBar, count: number): Sizes {
  const { fabric, options: given } = context;
  const half = Math.floor(count / 2);
  const base = fabric.also(fabric.stitch.base, 'rounds');
  const rows = fabric.also('single', 'rows');
  const pocket = pocketDepth(context);
  const pocketRounds = roundsFor(pocket, base);
  const span = bar.span(fabric.thickness);
  const spanRows = Math.max(2 * TAB_ROWS + 1, Math.round(span.value / rows.rowHeight.value));
  refuseBeyond(spanRows, 'courses', 'carrier');
  return {
    half,
    pocketRounds,
    spanRows,
    pocketMm: pocketRounds * base.rowHeight.value,
    spanMm: spanRows * rows.rowHeight.value,
    slot: tabSlot(Number(given.buttonMm), half, rows),
    base,
    rows,
    pocket,
    span,
  };
}

/** Rounds of a pocket: the first as it is begun, the others plain; those alike share one object. */
function pocketCourses(first: Course, rounds: number, { stitch }: WorkedFabric, schools: ShapeSchools): Course[] {
  const { ends, section } = first;
  const plain = roundOf([work(stitch.id, ends)], ends, stitch.base, schools, section);
  return [first, ...Array<Course>(rounds - 1).fill(plain)];
}

function pieceOf({ fabric, schools }: ShapeContext, sizes: Sizes, n: Figure<'stitches'>, width: Mm, height: Mm): Piece {
  const { half, pocketRounds, spanRows, base, rows, slot, pocket, span } = sizes;
  const { skipped } = base.stitch.foundation(false);
  const spiral = { ...schools, rounds: 'spiral' } as const;
  const begin = (body: Instruction[], section: string) => roundOf(body, 2 * half, base.stitch.base, spiral, section);
  const first = begin(aroundChain(base.stitch.id, skipped, half, 0), 'pocket in front');
  const second: Course = {
    ...begin([work(base.stitch.id, half), work(base.stitch.id, half, 'chain')], 'pocket behind'),
    before: {
      id: 'chain-across',
      text: `Chain ${half} and join them to the row’s other end: the second pocket’s mouth.`,
      count: half,
    },
  };
  const s = derive('stitches', 's = n / 2', { n }, () => half);
  const chain = chosen(skipped, 'chains', 'skipped');
  return roundPiece({
    id: 'body',
    name: 'Caddy',
    foundation: { kind: 'chain-both-sides', count: half + skipped, edge: 'closed' },
    foundationFigure: derive('chains', 'chain = s + skipped', { s, skipped: chain }, (v) => v.s + v.skipped),
    stitches: n,
    runs: [
      {
        name: 'pocket in front',
        courses: pocketCourses(first, pocketRounds, base, schools),
        fabric: base,
        wanted: pocket,
      },
      { name: 'span', courses: spanOf(spanRows, half, slot), fabric: rows, wanted: span },
      {
        name: 'pocket behind',
        courses: pocketCourses(second, pocketRounds, base, schools),
        fabric: base,
        wanted: pocket,
      },
    ],
    main: fabric,
    width,
    height,
    summary: `Chain ${half + skipped}, round both its sides: ${2 * half} stitches, ${pocketRounds} rounds; ${spanRows} rows of ${half}; chain ${half}, ${pocketRounds} rounds of ${2 * half}`,
    notes: { 1: MARK_FIRST_STITCH },
  });
}

/** Depth of the pockets: as typed, else two thirds of the tallest; the bottom's share on top (handbook 3 and 6). */
function pocketDepth({ thing, fabric, options: given }: ShapeContext): Mm {
  const wanted =
    given.pocketMm === undefined
      ? derive('mm', 'two thirds of the tallest', { H: thing.height }, (v) => (2 * v.H) / 3)
      : chosen(Number(given.pocketMm), 'mm', 'typed');
  return derive(
    'mm',
    'pocket + D/2 + πt/4',
    { pocket: wanted, give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.pocket + v.give,
  );
}

interface Slot {
  before: number;
  chains: number;
  after: number;
}

/** The tab's buttonhole, centred over the half (law, handbook 6): its chains, and the stitches either side. */
function tabSlot(buttonMm: number, half: number, { stitch, chain }: WorkedFabric): Slot {
  const thickness = chosen(BUTTON_THICKNESS_MM, 'mm', 'button, thick');
  const least = slotChains(chosen(buttonMm, 'mm', 'button'), thickness, stitch.factors.stretchAcross, chain);
  const wanted = Math.max(2, least.value);
  const chains = wanted % 2 === half % 2 ? wanted : wanted + 1;
  if (chains > half - 2)
    throw new PlanProblem([
      {
        path: 'shape.buttonMm',
        message: `${withArticle(`${formatLength(buttonMm)} button`).replace(/^a/, 'A')} needs a hole of ${chains} chains, and the tab has ${half} stitches. Choose a smaller button.`,
      },
    ]);
  const before = (half - chains) / 2;
  return { before, chains, after: half - chains - before };
}

/** One face in rows: a tab with its hole, the way over the bar, a tab with its hole. */
function spanOf(rows: number, half: number, { before, chains, after }: Slot): Course[] {
  const up: Instruction = { do: 'turning-chain', chains: 1, counts: false };
  const plain: Instruction[] = [up, work('single', half)];
  const hole: Instruction[] = [
    up,
    work('single', before),
    { do: 'chain', chains, spans: chains, as: 'chains' },
    { do: 'skip', times: chains, into: 'stitch' },
    work('single', after),
  ];
  const filled: Instruction[] = [up, work('single', before), work('single', chains, 'chain'), work('single', after)];
  const first: Instruction[] = [...plain, { do: 'leave', times: half }];
  return Array.from({ length: rows }, (_, index): Course => {
    const fromEnd = rows - 1 - index;
    const isHole = index === 1 || fromEnd === 1;
    const isFilled = index === 2 || fromEnd === 0;
    return {
      instructions: index === 0 ? first : isHole ? hole : isFilled ? filled : plain,
      ends: half,
      kind: 'row',
      // the first row goes on from where the last round ended
      turned: index > 0,
      section: index < TAB_ROWS || fromEnd < TAB_ROWS - 1 ? 'tab' : 'span',
    };
  });
}

function assembly({ options: given }: ShapeContext, width: number, half: number, slot: Slot): WorkStep[] {
  const whip = joinOf('whip');
  return [
    {
      id: 'fasten-off',
      section: 'joining',
      kind: 'assembly',
      phase: 'open',
      text: `Fasten off. Leave a tail of {mm:${Math.round(3 * width)}} for the second pocket’s bottom.`,
      check: {
        look: `Is the tail three times the bottom, {mm:${Math.round(3 * width)}}?`,
        repair: 'Cut it longer, or sew with fresh yarn.',
      },
    },
    {
      id: 'close-bottom',
      section: 'joining',
      kind: 'assembly',
      phase: 'joining',
      text: `Lay the second pocket flat and close its bottom through both layers: ${whip.text}, ${half} stitches from side to side.`,
      check: {
        look: 'Are both pockets equally deep, and right side out?',
        repair: 'Work or take back a round before you sew.',
      },
      closes: ['the bottom'],
      minutes: 6,
      seam: { mm: width, factor: whip.factor },
    },
    {
      id: 'tab-buttons',
      section: 'closing',
      kind: 'closure',
      phase: 'filled',
      text: `Hang it over the bar, filled. Under each tab’s hole, behind stitches ${slot.before + 1} to ${slot.before + slot.chains}, sew a button of {mm:${Number(given.buttonMm)}} to the other side’s mouth, through one layer only.`,
      check: {
        look: 'Buttoned, does it stay where it hangs when one pocket is emptied?',
        repair: 'Set the buttons a row lower.',
      },
      minutes: 8,
      notions: [{ name: 'button', size: `${formatNumber(Number(given.buttonMm))} mm`, count: 2 }],
    },
  ];
}

/** Where several things share a pocket, it is parted between them in the proportion of their widths, in whole columns. */
function partings(shares: Shares, half: number, easeShare: number, t: number): WorkStep[] {
  return (['front', 'back'] as const).flatMap((side): WorkStep[] => {
    const wants = shares[side];
    if (wants.length < 2) return [];
    const widths = wants.map(({ girth }) => girth.value * (1 + easeShare) + Math.PI * t);
    const all = widths.reduce((total, width) => total + width, 0);
    let reached = 0;
    const lines = widths.slice(0, -1).map((width) => {
      reached += width;
      return Math.max(1, Math.min(half - 1, Math.round((reached / all) * half)));
    });
    const names = wants.map(({ name }) => name).join(', ');
    return [
      {
        id: `part-pocket-${side}`,
        section: 'joining',
        kind: 'assembly',
        phase: 'mouth',
        text: `Part the pocket ${side === 'front' ? 'in front' : 'behind'} for ${names}, from the {side:left}: sew up through both layers along ${lines.length > 1 ? 'stitches' : 'stitch'} ${lines.join(', ')} of ${half}. Backstitch the top of each line twice.`,
        check: {
          look: 'Marked and measured first? Has every stitch caught both layers?',
          repair: 'Take the line out and move it by a column.',
        },
        minutes: 5 * lines.length,
      },
    ];
  });
}

/** The heavier side pulls the lighter one over the bar; beyond a quarter the tabs must hold it. */
function lopsided({ front, back }: Shares): Advice[] {
  const mass = (wants: readonly PocketWant[]) => wants.reduce((total, { massG }) => total + massG, 0);
  const [a, b] = [mass(front), mass(back)];
  const heavier = Math.max(a, b);
  if (heavier === 0 || (heavier - Math.min(a, b)) / heavier <= LOPSIDED) return [];
  return [
    {
      id: 'lopsided',
      severity: 'advice',
      text: `${formatNumber(a, 0)} g hang in front and ${formatNumber(b, 0)} g behind: it pulls to the ${a > b ? 'front' : 'back'}.`,
      repair: 'Move something over, or button both tabs round the bar.',
      at: 'shape.behind',
    },
  ];
}

function refuseBarless({ carrier }: ShapeContext): void {
  if (!carrier || carrier.kind !== 'bar')
    throw new PlanProblem([
      { path: 'carrier', message: 'A saddle hangs over something. Say what: a bar, or a flat arm.' },
    ]);
  if (carrier.diameter === undefined && carrier.width === undefined)
    throw new PlanProblem([
      { path: 'carrier.diameter', message: 'How thick is the bar, or how wide the arm? Measure one of them.' },
    ]);
}

interface Seen extends Pick<Sizes, 'half' | 'pocketRounds' | 'spanRows' | 'pocketMm' | 'spanMm'> {
  width: number;
  /** What stands in the pocket in front. */
  front: readonly PocketWant[];
}

function views(context: ShapeContext, seen: Seen): View[] {
  return [flatView(seen), hangingView(context, seen), cutView(context, seen)];
}

const roundIn = ({ half }: Seen) => ({ count: `${2 * half} stitches round`, choice: 'round' });

function flatView(seen: Seen): View {
  const { half, pocketRounds, spanRows, pocketMm, spanMm, width } = seen;
  const run = (role: 'pocket' | 'span', label: string, x: number, w: number, rows: number, word: string): Part[] => [
    panel({ role, label, sub: plural(rows, word), x, w, h: width, rows, stitches: half, stacked: 'x' }),
    acrossFrom(x, x + w, { count: plural(rows, word) }),
  ];
  const mouths = [pocketMm, pocketMm + spanMm].map((mm) => ({ mm, label: 'mouth' }));
  return {
    id: 'flat',
    name: 'Flat',
    width: 2 * pocketMm + spanMm,
    height: width,
    parts: [
      ...run('pocket', 'pocket in front', 0, pocketMm, pocketRounds, 'round'),
      ...run('span', 'span', pocketMm, spanMm, spanRows, 'row'),
      ...run('pocket', 'pocket behind', pocketMm + spanMm, pocketMm, pocketRounds, 'round'),
      ...folds(mouths, width),
      uprightFrom(0, width, roundIn(seen)),
    ],
    text: `Laid out: pocket in front ${pocketRounds} rounds, {mm:${formatNumber(pocketMm)}}; span ${spanRows} rows, {mm:${formatNumber(spanMm)}}; pocket behind ${pocketRounds} rounds; {mm:${formatNumber(width)}} wide, ${2 * half} stitches round.`,
  };
}

function hangingView({ thing, fabric, carrier }: ShapeContext, seen: Seen): View {
  const { half, pocketRounds, pocketMm, width, front } = seen;
  const drop = workBar(carrier!).dropFront.value;
  const high = drop + pocketMm;
  const overRows = Math.max(1, Math.round(drop / fabric.rowHeight.value));
  return {
    id: 'folded',
    name: 'Hanging',
    width,
    height: high,
    parts: [
      panel({ role: 'span', label: 'span', sub: '', w: width, h: Math.max(1, drop), rows: overRows, stitches: half }),
      panel({
        role: 'pocket',
        label: 'pocket in front',
        sub: plural(pocketRounds, 'round'),
        y: drop,
        w: width,
        h: pocketMm,
        rows: pocketRounds,
        stitches: half,
      }),
      acrossFrom(0, width, roundIn(seen)),
      ...standing({ ...thing, wants: front }, 0, width, high),
      uprightFrom(0, drop),
      uprightFrom(drop, high),
    ],
    text: `Hanging: {mm:${formatNumber(width)}} wide, mouth {mm:${formatNumber(drop)}} below the bar, bottom {mm:${formatNumber(high)}} below it.`,
  };
}

function cutView({ thing, fabric, carrier }: ShapeContext, { pocketMm }: Seen): View {
  const bar = workBar(carrier!);
  const isArm = isFlat(carrier!);
  const over = mmOf(carrier!, isArm ? 'width' : 'diameter')!;
  const t = fabric.thickness.value;
  const D = thing.depth.value + t;
  const [top, drop, back] = [t, bar.dropFront.value, bar.dropBack.value];
  const high = drop + pocketMm;
  const points: [number, number][] = [
    [0, top + drop],
    [0, top + high],
    [D, top + high],
    [D, top],
    [D + over, top],
    [D + over, top + back + pocketMm],
    [2 * D + over, top + back + pocketMm],
    [2 * D + over, top + back],
  ];
  return {
    id: 'cut',
    name: 'Cut through',
    width: 2 * D + over,
    height: top + Math.max(high, back + pocketMm),
    parts: [
      { type: 'cut', role: 'span', points, thickness: t },
      {
        type: 'thing',
        x: D + t / 2,
        y: top + t / 2,
        w: Math.max(1, over - t),
        h: isArm ? 0.4 * over : over,
        r: isArm ? 2 : over / 2,
      },
      acrossFrom(D, D + over),
      uprightFrom(top, top + drop),
    ],
    text: `Cut through: over {mm:${formatNumber(over)}} of bar, a pocket on each side.`,
  };
}

export const saddle: ShapeDefinition = {
  id: 'saddle',
  name: 'Saddle caddy',
  summary: 'Pockets on both sides of a bar or a chair arm, with tabs that hold it.',
  why: 'Hangs over a bar; a pocket on each side.',
  worked: 'rounds',
  options,
  takes: {
    flat: true,
    round: true,
    rods: true,
    several: true,
    given: 'Its pockets are sized to what lies in them. Say what that is.',
  },
  offers: ['flat-front'],
  hazards: ['small-part'],
  needsCarrier: 'bar',
  build,
};
