import type { WorkedThing } from '../../craft/things';
import { CHAIN, work, type Instruction } from '../../craft/fabric';
import { chosen, derive, prior, type Advice, type Figure } from '../../base/figure';
import { formatKnownGrams, formatNumber, leastToken, mmToken, mostToken, typedToken } from '../../base/units';
import { strapReaches } from '../../craft/fit';
import { tailOf, type Free, type Sewing } from '../../piece';
import type { Piece, WorkStep } from '../../shapes';
import {
  type DemandContext,
  type FittingContext,
  type FittingDefinition,
  type Notion,
  type Placed,
} from '../definition';
import { chainsFor, cord, frontOf, growth, plainRows, refuse, smallPiece } from '../common';

type Mm = Figure<'mm'>;

/** Sewn to each anchor over so many mm (prior, handbook 6). */
const SEWN_MM = 25;

/** Longer than this no strap is worn, mm. */
const LONGEST_MM = 2500;

/** Cut length of a twisted pair against its finished length (prior, handbook 6). */
const TWIST = 2 * 1.35;

interface StrapKind {
  id: string;
  name: string;
  /** Columns that carry the load. */
  columns: (rows: number) => number;
  stretch: number;
}

/** Kinds of strap, and what carries the load in each (handbook 6). */
const KINDS: readonly StrapKind[] = [
  { id: 'rows', name: 'rows across', columns: (n) => n, stretch: 0.06 },
  { id: 'chain-rows', name: 'a chain with rows along it', columns: (n) => n + 1, stretch: 0.05 },
  { id: 'chain', name: 'a chain', columns: () => 1, stretch: CHAIN.stretch },
  { id: 'cord', name: 'a two-loop cord', columns: () => 2, stretch: 0.06 },
  { id: 'worked-on', name: 'chained on where it hangs, covered with {single}', columns: () => 2, stretch: 0.04 },
  { id: 'twisted', name: 'a twisted cord', columns: () => 3, stretch: 0.03 },
  { id: 'cloth', name: 'sewn cloth', columns: () => 100, stretch: 0 },
  { id: 'bought', name: 'bought, on swivel hooks', columns: () => 100, stretch: 0 },
];

/** Tails of what is made by itself, to sew it on with (prior, handbook 4.4). */
const STRAP_TAIL_MM = 300;

/** Yarn both ends are sewn on with, mm (prior, ours). */
const SEW_ON_MM = 2 * STRAP_TAIL_MM;

/** How a strap is held at its anchors, and what of its length each end takes, mm (handbook 6). */
const ENDS = [
  { id: 'sewn', name: 'sewn flat', mm: SEWN_MM },
  { id: 'hooks', name: 'folded over swivel hooks', mm: SEWN_MM },
  { id: 'tied', name: 'tied on', mm: 0 },
  { id: 'tails', name: 'sewn by its tails', mm: 0 },
] as const;

type End = (typeof ENDS)[number];

/** Kinds that are crocheted: they bring tails to be sewn on with. */
const MADE: ReadonlySet<string> = new Set(['chain', 'chain-rows', 'cord', 'rows']);

const kindOf = (id: unknown): StrapKind => KINDS.find((kind) => kind.id === id)!;

/**
 * A strap from anchor to anchor: the body loop less the span between the anchors, over one and its growth under the load,
 * and two sewn overlaps; of a loop measured from edge to edge nothing is taken off (law, with the growth a prior until a hang test replaces it; handbook 6).
 */
export function strapLength(loop: Mm, span: Mm | undefined, grows: Figure<'1'>, endMm: number = SEWN_MM): Mm {
  const end = prior(endMm, 'mm', 0, 'sewn on or folded over at each end');
  if (!span)
    return derive(
      'mm',
      'strap = loop, edge to edge / (1 + growth) + 2 ends',
      { loop, grows, end },
      (v) => v.loop / (1 + v.grows) + 2 * v.end,
    );
  return derive(
    'mm',
    'strap = (loop − span between anchors) / (1 + growth) + 2 ends',
    { loop, span, grows, end },
    (v) => (v.loop - v.span) / (1 + v.grows) + 2 * v.end,
  );
}

function loopOf({ carrier, path, options }: DemandContext): Mm {
  const typed = options.loopMm;
  if (typed !== undefined) return chosen(Number(typed), 'mm', 'typed');
  const loop = carrier?.kind === 'body' ? (carrier.loop as { mm: number } | undefined) : undefined;
  if (!loop)
    return refuse(
      `${path}.loopMm`,
      'How long is the loop the strap follows, anchor to anchor? Measure it on the body, or type it here.',
    );
  return { ...chosen(loop.mm, 'mm', 'measured on the body'), sd: LOOP_SD_MM };
}

/** How well a loop is measured on a body, over whatever is worn (prior, ours), mm. */
const LOOP_SD_MM = 10;

/** What is carried where nothing is known of it, g (prior, ours). */
const USUAL_LOAD = { g: 300, sd: 150 };

/** How much of a bottle is room, and how much heavier it is than what it holds (prior, ours). */
const HOLDS = { share: 0.85, weighs: 1.3, spread: 0.25 };

/** A filled bottle by its profile: a millilitre of water weighs a gram (handbook 1). */
function filled({ stations = [] }: WorkedThing): Figure<'g'> | undefined {
  if (stations.length < 2) return undefined;
  const ml = stations.slice(1).reduce((sum, { height, diameter }, index) => {
    const below = stations[index]!;
    return sum + ((Math.PI / 4) * ((diameter + below.diameter) / 2) ** 2 * (height - below.height)) / 1000;
  }, 0);
  const g = HOLDS.share * HOLDS.weighs * ml;
  return prior(g, 'g', HOLDS.spread * g, 'what a bottle of its size holds, and its own weight');
}

/** What hangs on the strap: as typed, as the thing weighs filled, by what a bottle holds, or a guess that asks to be answered. */
function loadOf({ options, thing }: FittingContext): Figure<'g'> {
  if (options.loadG !== undefined) return chosen(Number(options.loadG), 'g', 'typed');
  return thing.mass ?? filled(thing) ?? prior(USUAL_LOAD.g, 'g', USUAL_LOAD.sd, 'not known: a guess');
}

/** Growth is known to so much before a strap was hung (prior, ours). */
const GROWTH_SD = 0.02;

/** The growth of a strap as is usual, or as straps of this hand have grown (prior, handbook 6 and 10). */
function ownGrowth({ fabric: { strapGrowth: own } }: FittingContext, usual: number, load: Figure<'g'>): Figure<'1'> {
  const under = `under ${formatKnownGrams(load.value, load.sd)}`;
  if (!own) return prior(usual, '1', GROWTH_SD, `estimated ${under}`);
  const grows = own.ratio * usual;
  return prior(grows, '1', Math.min(GROWTH_SD, own.spread * grows), `${under}, as yours grew (${own.makes} finished)`);
}

function place(context: FittingContext): Placed {
  const { built, options, path } = context;
  const loop = loopOf(context);
  const kind = kindOf(options.strap);
  const rows = Number(options.rows);
  const load = loadOf(context);
  const loadG = load.value;
  const tested = options.hangTestPercent;
  const grows: Figure<'1'> =
    tested === undefined
      ? ownGrowth(context, growth(kind.stretch, loadG, kind.columns(rows)), load)
      : chosen(Number(tested) / 100, '1', 'your hang test');
  const face = frontOf(built);
  const span = chosen(face.width, 'mm', 'from anchor to anchor across the opening');
  const edgeToEdge = context.carrier?.loopIs === 'edge-to-edge';
  const end = endOf(context);
  const length = strapLength(loop, edgeToEdge ? undefined : span, grows, end.mm);
  if (length.value > LONGEST_MM)
    refuse(
      `${path}.loopMm`,
      `A strap of ${mmToken(length.value)} is longer than any body loop (${mostToken(LONGEST_MM)}). Check the loop, ${typedToken(loop.value)}, and its unit.`,
    );
  if (length.value < 3 * SEWN_MM)
    refuse(
      `${path}.loopMm`,
      `A loop of ${typedToken(loop.value)} leaves no strap beyond the ${mmToken(face.width)} between its anchors. Make it ${leastToken(face.width + 3 * SEWN_MM)} or more.`,
    );
  const made = strapMade(kind.id, length, context);
  const anchors = anchorWords(built);
  return {
    figures: { loop, load, length, growth: grows, ...made.figures },
    place: `${kind.name}, {mm:${formatNumber(length.value)}} to make, anchors ${anchors}`,
    rows: [],
    ...(made.piece ? { pieces: [made.piece] } : {}),
    steps: [...made.steps, ...held(kind.id, end, anchors, kind.id === 'chain-rows' && rows % 2 === 1)],
    parts: {
      folded: [
        {
          type: 'dots',
          points: [
            [face.x, face.y],
            [face.x + face.width, face.y],
          ],
          diameter: 6,
          label: 'strap anchors',
        },
      ],
    },
    advice: advise(length, grows.value, load, tested === undefined && kind.stretch > 0, rows, kind),
    areas: [
      { face: 'front', x: [0, 8], y: [0, SEWN_MM] },
      { face: 'front', x: [face.width - 8, face.width], y: [0, SEWN_MM] },
    ],
    notions: [...made.notions, ...(end.id === 'hooks' ? HOOKED : [])],
    ...(kind.stretch > 0
      ? { wants: [strapReaches(length.value - 2 * end.mm, edgeToEdge ? 0 : face.width, loop, grows)] }
      : {}),
  };
}

/** What hooks hang in. */
const HOOKED: readonly Notion[] = [
  { name: 'swivel hooks', count: 2 },
  { name: 'rings for the hooks', count: 2 },
];

/**
 * How this strap is held.
 * @throws PlanProblem where it brings no tails to be tied or sewn by
 */
function endOf({ options, path }: FittingContext): End {
  const end = ENDS.find(({ id }) => id === options.ends)!;
  const kind = String(options.strap);
  // what is bought has its own hooks, what is chained on is held already
  if (kind === 'bought' || kind === 'worked-on') return { ...ENDS[0], mm: kind === 'bought' ? SEWN_MM : 0 } as End;
  if (end.mm === 0 && !MADE.has(kind) && !(kind === 'twisted' && end.id === 'tied'))
    refuse(`${path}.ends`, 'It has no tails to be held by. Let it be sewn flat, or folded over hooks.');
  return end;
}

interface Made {
  figures: Record<string, Figure>;
  steps: WorkStep[];
  piece?: Piece;
  notions: Notion[];
}

function strapMade(kind: string, length: Mm, context: FittingContext): Made {
  const { fabric, schools, options } = context;
  const rows = Number(options.rows);
  const step = (work: Pick<WorkStep, 'does' | 'text'>, minutes: number): WorkStep => ({
    id: 'make-strap',
    section: 'strap',
    kind: 'assembly',
    ...work,
    check: {
      look: `Does it measure {mm:${formatNumber(length.value)}} before it is loaded?`,
      repair: 'Lengthen or shorten it before you sew it on.',
    },
    minutes,
  });
  const nothing = { figures: {}, notions: [] };
  if (kind === 'worked-on') return workedOn(length, context);
  if (kind === 'rows') {
    const plain = plainRows(fabric);
    const width = derive(
      'mm',
      'width = stitches × w',
      { n: chosen(rows, 'stitches', 'typed'), w: plain.stitchWidth },
      (v) => v.n * v.w,
    );
    return {
      ...nothing,
      steps: [],
      piece: smallPiece({ id: 'strap', name: 'Strap', fabric: plain, width, length, schools }),
    };
  }
  if (kind === 'bought')
    return {
      ...nothing,
      steps: [step({ text: 'Clip the strap’s swivel hooks into two rings sewn to the anchors.' }, 6)],
      notions: [
        { name: 'strap with swivel hooks', size: `{cut:${formatNumber(length.value)}}`, count: 1 },
        { name: 'rings for the hooks', count: 2 },
      ],
    };
  if (kind === 'twisted') {
    const cut = derive('mm', 'cut = 2 × 1.35 × finished, of each pair', { length }, (v) => TWIST * v.length);
    return {
      ...nothing,
      figures: { cut },
      steps: [
        step(
          {
            does: [
              {
                do: 'sew',
                id: 'twist',
                mm: 2 * cut.value,
                made: true,
                says: `cut two pairs of strands {cut:${formatNumber(cut.value)}} long, twist them hard, fold at the middle, let them wind round each other, knot both ends.`,
              },
            ],
          },
          12,
        ),
      ],
    };
  }
  if (kind === 'cloth') return clothStrap(length, Number(options.clothMm), step);
  const { chains, made } = chainsFor(length, fabric.chain);
  return { ...nothing, figures: { chains, made }, steps: [step({ does: [corded(kind, chains.value, rows)] }, 4)] };
}

/** Where a strap is chained on: the hook is there or the yarn is joined there, and it is held at the other place. */
interface ChainedOn extends Pick<Free, 'lead' | 'from' | 'onward'> {
  began: string;
  held: string;
}

/** At the two sides of an opening no hook waits at (handbook 6). */
const FROM_A_SIDE: ChainedOn = {
  lead: '',
  from: 'with a {slip} to the top end of the {side:right} side edge',
  began: 'the place it began at',
  held: 'the top end of the {side:left} side edge',
};

/**
 * From where the hook is in the last round, held opposite or so many stitches on; else from one side of the opening to the
 * other.
 *
 * @throws PlanProblem where so many stitches on is no other place, or there is no round to count them in
 */
function chainedOn({ built: { mouth, rimGoesOn }, options, path }: FittingContext): ChainedOn {
  const { apart } = options;
  if (!rimGoesOn || !mouth) {
    if (apart !== undefined)
      refuse(
        `${path}.apart`,
        `Only along a last round can ${Number(apart)} stitches be counted. Leave it empty: here the strap goes from one side of the opening to the other.`,
      );
    return FROM_A_SIDE;
  }
  const on = apart === undefined ? Math.floor(mouth.stitches / 2) : Number(apart);
  if (on >= mouth.stitches)
    refuse(
      `${path}.apart`,
      `The last round has ${mouth.stitches} stitches; ${on} on from the first comes round to it again. Make it ${mouth.stitches - 1} or less.`,
    );
  return {
    lead: 'The strap, from where the hook is:',
    from: '',
    onward: true,
    began: 'the stitch it began at',
    held: `stitch ${on + 1} of the last round`,
  };
}

/** Chained on at one place, held at the other and covered with {single} on the way back (handbook 6). */
function workedOn(length: Mm, context: FittingContext): Made {
  const { began, held: other, ...place } = chainedOn(context);
  const { chains, made } = chainsFor(length, context.fabric.chain);
  const n = chains.value;
  const strap: Free = {
    do: 'free',
    id: 'strap',
    ...place,
    courses: [
      [
        { do: 'chain', chains: n, spans: n, as: 'chains' },
        { do: 'anchor', place: other },
      ],
      [work('single', n, 'chain'), { do: 'anchor', place: began }],
    ],
    times: 1,
    tails: 0,
  };
  return {
    figures: { chains, made },
    notions: [],
    steps: [
      {
        id: 'make-strap',
        section: 'strap',
        kind: 'assembly',
        ...(place.onward ? ({ after: context.built.pieces[0]!.id, goesOn: true } as const) : {}),
        does: [strap],
        check: {
          look: `Not twisted, and {mm:${formatNumber(length.value)}} long before it is loaded?`,
          repair: 'Pull out that row and add or leave out chains.',
        },
        minutes: 4,
      },
    ],
  };
}

/** A cord or a chain by itself, with rows along it where it has any; its tails are what it is sewn on with. */
function corded(kind: string, chains: number, rows: number): Free {
  const plain = cord('strap', 'The strap.', chains, STRAP_TAIL_MM);
  if (kind === 'chain') return plain;
  if (kind === 'cord') return { ...plain, courses: [[work('two-loop', chains, 'itself')]] };
  const first: Instruction[] = [{ do: 'skip', times: 1, into: 'chain' }, work('single', chains - 1, 'chain')];
  const row: Instruction[] = [{ do: 'turning-chain', chains: 1, counts: false }, work('single', chains - 1)];
  return { ...plain, courses: [...plain.courses, first, ...Array.from({ length: rows - 1 }, () => row)] };
}

/** Cloth folded in four along its length and sewn down. */
function clothStrap(
  length: Mm,
  wide: number,
  step: (work: Pick<WorkStep, 'does' | 'text'>, minutes: number) => WorkStep,
): Made {
  const cut = derive('mm', 'cut wide = 4 × width', { width: chosen(wide, 'mm', 'typed') }, (v) => 4 * v.width);
  const size = `{cut:${formatNumber(length.value)}} × {cut:${formatNumber(cut.value)}}`;
  return {
    figures: { cut },
    steps: [
      step(
        {
          text: `Cut a strip of cloth {cut:${formatNumber(length.value)}} × {cut:${formatNumber(cut.value)}}. Fold both long edges to the middle, fold it in half lengthwise and sew along the open edge.`,
        },
        25,
      ),
    ],
    notions: [
      { name: 'cloth for the strap', size, count: 1 },
      { name: 'sewing thread', count: 1 },
    ],
  };
}

/** With the tail at each end; where both hang at one end, the other with yarn of its own (handbook 4.4). */
function sewnOn(kind: string, anchors: string, atOneEnd: boolean): Sewing[] {
  const how = `overlapping {mm:${SEWN_MM}}, going over each seam three times.`;
  if (kind === 'bought')
    return [
      {
        do: 'sew',
        id: 'rings',
        mm: SEW_ON_MM,
        says: `sew a ring to each anchor, ${anchors}, going over each seam three times.`,
      },
    ];
  const says = `sew the strap on at ${anchors}, ${how}`;
  if (!MADE.has(kind)) return [{ do: 'sew', id: 'strap-on', mm: SEW_ON_MM, says }];
  const end = tailOf('strap', 'end');
  if (!atOneEnd)
    return [{ do: 'sew', id: 'strap-on', what: 'strap', tails: [tailOf('strap', 'start'), end], mm: SEW_ON_MM, says }];
  return [
    {
      do: 'sew',
      id: 'strap-on',
      what: 'strap',
      tails: [end],
      mm: STRAP_TAIL_MM,
      says: `sew one end of the strap on, ${how}`,
    },
    {
      do: 'sew',
      id: 'strap-on-2',
      mm: STRAP_TAIL_MM,
      says: `sew its other end on in the same way. The anchors are ${anchors}.`,
    },
  ];
}

/** How it is held at its anchors; nothing more for what is chained on. */
function held(kind: string, end: End, anchors: string, atOneEnd: boolean): WorkStep[] {
  if (kind === 'worked-on') return [];
  const step = sewOn(kind, anchors, atOneEnd);
  if (end.id === 'sewn') return [step];
  const made = MADE.has(kind);
  const hooked = `fold {mm:${SEWN_MM}} of each end of the strap over a swivel hook and sew it down, going over each seam three times.`;
  const rings: Sewing = {
    do: 'sew',
    id: 'rings',
    mm: SEW_ON_MM,
    says: `sew a ring to each anchor, ${anchors}; hang the hooks in.`,
  };
  if (end.id === 'hooks') return [{ ...step, does: [sewnBy('strap-on', made, atOneEnd, hooked), rings] }];
  const tied = `pass ${made ? 'the tails at each end' : 'each end'} of the strap through its anchor, ${anchors}, and tie two knots on the inside.`;
  const tails = `sew each end of the strap to its anchor, ${anchors}, by its tail, edge to edge.`;
  const says = end.id === 'tied' ? tied : tails;
  return [{ ...step, does: [{ ...sewnBy('strap-on', made, atOneEnd, says), mm: made ? SEW_ON_MM : 0 }] }];
}

/** Sewn with the tails it brings; with yarn cut for it where they hang at one end, or where it brings none. */
function sewnBy(id: string, made: boolean, atOneEnd: boolean, says: string): Sewing {
  const what = made ? { what: 'strap' } : {};
  const tails = made && !atOneEnd ? { tails: [tailOf('strap', 'start'), tailOf('strap', 'end')] } : {};
  return { do: 'sew', id, ...what, ...tails, mm: SEW_ON_MM, says };
}

function sewOn(kind: string, anchors: string, atOneEnd: boolean): WorkStep {
  return {
    id: 'sew-strap',
    section: 'strap',
    kind: 'closure',
    does: sewnOn(kind, anchors, atOneEnd),
    check: {
      look: 'Is the strap not twisted, are the anchors exactly opposite? Hang the load on it for a minute and measure again.',
      repair:
        'If it stretched more than planned, shorten it: in the plan, open Strap and enter the result under Hang test.',
    },
    minutes: 10,
  };
}

/** Anchors exactly opposite: the two side seams, or two stitches half the round apart (handbook 6). */
function anchorWords({ mouth }: FittingContext['built']): string {
  if (!mouth) return 'the two side edges';
  const half = Math.floor(mouth.stitches / 2);
  return `stitch 1 and stitch ${half + 1} of the last round`;
}

function advise(
  length: Mm,
  grows: number,
  load: Figure<'g'>,
  untested: boolean,
  rows: number,
  kind: StrapKind,
): Advice[] {
  const longer = length.value * grows;
  if (!untested || longer < 15) return [];
  return [
    {
      id: 'strap-grows',
      severity: 'advice',
      text: `With ${formatKnownGrams(load.value, load.sd)} in it the strap will stretch by about ${mmToken(longer)}. The pattern makes it so much shorter.`,
      repair:
        kind.id === 'rows' || kind.id === 'chain-rows'
          ? `To be sure, hang the load on the finished strap for a minute and enter how much it stretched. ${rows + 2} stitches wide would stretch less.`
          : 'To be sure, hang the load on the finished strap for a minute and enter how much it stretched.',
      at: 'fittings',
    },
  ];
}

export const strap: FittingDefinition = {
  id: 'strap',
  name: 'Strap',
  summary: 'From anchor to anchor round the body, made shorter by what it grows under its load.',
  asks: ['open-mouth'],
  because: 'A strap hangs from two sides of an opening.',
  hazards: ['cord'],
  figures: {
    loop: 'Body loop',
    load: 'Weight it carries',
    length: 'Length',
    growth: 'Stretch under load',
    chains: 'Chains',
    made: 'As made',
    cut: 'Cut length',
  },
  options: [
    { key: 'strap', kind: 'choice', label: 'Strap', options: KINDS, default: 'rows' },
    {
      key: 'loopMm',
      kind: 'length',
      label: 'Body loop',
      help: 'Left empty: as measured on the body.',
      min: 100,
      max: 9000,
      optional: true,
    },
    { key: 'rows', kind: 'number', label: 'Stitches or rows wide', unit: '', whole: true, min: 1, max: 40, default: 6 },
    {
      key: 'ends',
      kind: 'choice',
      label: 'Held',
      help: 'A bought one hangs by its own hooks; one chained on is held already.',
      options: ENDS,
      default: 'sewn',
    },
    {
      key: 'apart',
      kind: 'number',
      label: 'Chained on: held so many stitches on',
      help: 'Left empty: at the place opposite.',
      unit: 'stitches',
      whole: true,
      min: 1,
      max: 1999,
      optional: true,
    },
    {
      key: 'clothMm',
      kind: 'length',
      label: 'Width of a sewn cloth strap',
      min: 5,
      max: 100,
      default: 25,
    },
    {
      key: 'loadG',
      kind: 'number',
      label: 'Weight it carries',
      help: 'Left empty: what the item weighs, filled.',
      unit: 'g',
      min: 0,
      max: 20_000,
      optional: true,
    },
    {
      key: 'hangTestPercent',
      kind: 'number',
      label: 'Hang test: it grew by',
      unit: '%',
      min: 0,
      max: 60,
      optional: true,
    },
  ],
  place,
};
