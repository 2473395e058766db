import { chosen, derive, prior, PlanProblem, type Advice, type Figure } from '../../base/figure';
import type { Instruction } from '../../craft/fabric';
import type { Cloth, FlapPlace, Part, Piece, WorkStep } from '../../shapes';
import { formatNumber, mmToken, mostToken, plural, typedToken, withArticle } from '../../base/units';
import { BUTTON_FIELDS, faceOf, IN_FROM, refuseBeside, sewnWhere } from '../common';
import { loopAfter } from '../loops';
import { type Area, type DemandContext, type FittingContext, type FittingDefinition, type Placed } from '../definition';

type Mm = Figure<'mm'>;

/** How far a chain gives, as a fraction (prior, handbook 2.2). */
const CHAIN_STRETCH = 0.03;

/** From the flap's edge to the button's rim, at the least, so that the edge does not ride on the button, mm (prior, ours). */
const LEAST_GAP_MM = 2;

/**
 * Chains of a loop: the button passes edge on, so the loop must be `2 (diameter + thickness) / (1 + stretch)` long; and
 * it must reach round the button's middle, `2 (gap + diameter / 2)`. The longer of the two (law, handbook 6).
 *
 * @returns the length asked, mm; chains are that over the chain's gauge, rounded up
 */
export function loopLength(diameter: Mm, thickness: Mm): Mm {
  const s = prior(CHAIN_STRETCH, '1', 0, 'stretch of a chain');
  const gap = prior(LEAST_GAP_MM, 'mm', 0, 'flap’s edge to the button’s rim, at least');
  return derive(
    'mm',
    'the longer of 2 (diameter + thickness) / (1 + s) and 2 (gap + diameter / 2)',
    { diameter, thickness, s, gap },
    (v) => Math.max((2 * (v.diameter + v.thickness)) / (1 + v.s), 2 * (v.gap + v.diameter / 2)),
  );
}

/** The flap's last row with the loop at its place: as many stitches lie left of its middle as right where that is the middle. */
export function loopRow(row: readonly Instruction[], stitches: number, chains: number, share?: number): Instruction[] {
  const { after, closes } = loopAfter(stitches, share);
  // a chain that counts is the first of them
  const before = after - (row.some((one) => one.do === 'turning-chain' && one.counts) ? 1 : 0);
  return row.flatMap((instruction): Instruction[] => {
    if (!isRun(instruction, stitches)) return [instruction];
    return [
      { ...instruction, times: before },
      { do: 'loop', chains, closes },
      { ...instruction, times: instruction.times - before },
    ];
  });
}

function place(context: FittingContext): Placed {
  const { built, fabric, path } = context;
  const flap = built.flap!;
  const diameter = chosen(Number(context.options.buttonMm), 'mm', 'button');
  const thickness = chosen(Number(context.options.buttonThicknessMm), 'mm', 'button');
  refuseWide(diameter.value, flap, path);
  const across = acrossFlap(context, diameter.value);
  const length = loopLength(diameter, thickness);
  const needed = Math.ceil(length.value / fabric.chain.value - 1e-9);
  const typed = context.options.chains;
  const chains =
    typed === undefined
      ? chosen(needed, 'chains', 'rounded up to whole chains')
      : chosen(Number(typed), 'chains', 'typed');
  const made = derive('mm', 'loop = chains × wc', { chains, wc: fabric.chain }, (v) => v.chains * v.wc);
  // the loop lies straight when the button's middle is half its length from the flap's edge
  const below = derive(
    'mm',
    'button below the front’s top = edge + loop / 2',
    { edge: flap.edgeBelowFrontTop, loop: made },
    (v) => v.edge + v.loop / 2,
  );
  refuseLow(below.value + diameter.value / 2, flap, path);
  // on a strip worked sideways stitches count down the front, and rows across it
  const [down, by] = flap.edge === 'left' ? (['stitch', 'row'] as const) : (['row', 'stitch'] as const);
  const pitch = down === 'row' ? fabric.rowHeight : fabric.stitchWidth;
  const place = Math.max(1, Math.round((below.value - flap.borderMm) / pitch.value));
  const piece = built.pieces.find((p) => p.id === flap.piece)!;
  const last = piece.courses[flap.row - 1]!.instructions;
  const inRow = down === 'row' && takesLoop(last, flap.stitches);
  return {
    figures: { asked: length, chains, length: made, buttonBelowFrontTop: below },
    place: `${across.moved ?? 'middle'} of the flap’s edge${across.moved ? '' : `, ${halves(flap.stitches, by)}`}; button on the front, {mm:${formatNumber(below.value)}} below its top edge${counted('at', piece, down, place)}`,
    rows: inRow
      ? [{ piece: flap.piece, row: flap.row, instructions: loopRow(last, flap.stitches, chains.value, across.share) }]
      : [],
    ...(flap.edge
      ? { loop: { piece: flap.piece, edge: flap.edge, chains: chains.value, step: 'work-loop', share: across.share } }
      : {}),
    steps: [
      ...(inRow ? [] : [joinedLoop(chains.value, across.inMm)]),
      {
        id: 'sew-button',
        section: 'closing',
        kind: 'closure',
        minutes: 8,
        does: sewnWhere(
          'button',
          {
            says: `Put the item in, close the flap and let the loop lie straight: the button’s middle comes {at}${counted('about', piece, down, place)}, ${across.moved ?? middle(flap.stitches, by)}. Mark the place.`,
            at: [{ on: 'front', below: below.value, of: faceOf(built) }],
          },
          'slip a card inside, then sew the button on there, through the front layer only.',
        ),
        check: {
          look: 'Does the needle come out inside the pouch, and not through the back? Does the loop pass over the button and hold?',
          repair: 'Unpick the button and sew it on again, through one layer only.',
        },
      },
    ],
    parts: {
      flat: flatParts(context, below.value, made.value, diameter.value, across.share),
      folded: foldedParts(flap, below.value, made.value, diameter.value, context, across.share),
    },
    advice: tooSmall(chains.value, needed, path),
    areas: [buttonArea(across.share * flap.width.value, below.value, diameter.value)],
    notions: [{ name: 'button', size: typedToken(diameter.value), count: 1 }],
  };
}

interface AcrossFlap {
  /** Of the flap's width, from its left. */
  share: number;
  /** Where that is from the left, mm, and in words, where it is not the middle. */
  inMm?: number;
  moved?: string;
}

/**
 * Where button and loop sit across the flap.
 * @throws PlanProblem where the button would reach beyond it
 */
export function acrossFlap({ built, options, path }: FittingContext, diameter: number): AcrossFlap {
  if (options.inFromMm === undefined) return { share: 0.5 };
  const inFrom = Number(options.inFromMm);
  const width = built.flap!.width.value;
  const place = { mm: inFrom, least: diameter / 2, most: width - diameter / 2 };
  refuseBeside(place, `${path}.inFromMm`, 'from the side', 'the flap');
  return { share: inFrom / width, inMm: inFrom, moved: `{mm:${formatNumber(inFrom)}} in from the {side:left} side` };
}

/** The same in rows or stitches; in a rectangle worked outwards none of them runs across. */
const counted = (how: 'at' | 'about', { rectangle }: Piece, down: Across, place: number): string =>
  rectangle ? '' : `, ${how} ${down} ${place}`;

/** Whether the row is plain stitches all along, so that the loop can sit in it; else it is joined on afterwards. */
export function takesLoop(row: readonly Instruction[], stitches: number): boolean {
  return stitches > 4 && row.some((one) => isRun(one, stitches));
}

/** The one run of plain stitches that a row is; one of them may be the chain it began with, or a plain one that ends it. */
const isRun = (one: Instruction, stitches: number): one is Extract<Instruction, { do: 'work' }> =>
  one.do === 'work' && one.times >= stitches - 1 && one.into === 'stitch';

/** A loop typed shorter than its button needs. */
function tooSmall(chains: number, needed: number, path: string): Advice[] {
  if (chains >= needed) return [];
  return [
    {
      id: 'loop-too-small',
      severity: 'warning',
      text: `A loop of ${plural(chains, 'chain')} does not pass over its button: it takes ${needed}.`,
      repair: `Chain ${needed}.`,
      at: `${path}.chains`,
      change: { [`${path}.chains`]: undefined },
    },
  ];
}

function joinedLoop(chains: number, inMm: number | undefined): WorkStep {
  return {
    id: 'work-loop',
    section: 'closing',
    kind: 'closure',
    does: [
      {
        do: 'free',
        id: 'button-loop',
        lead: '',
        from: { at: 'along', line: 'the flap’s edge', ...(inMm === undefined ? {} : { inMm }) },
        slipped: true,
        courses: [[{ do: 'loop', chains, closes: 'same-stitch' }]],
        times: 1,
        tails: 0,
      },
    ],
    check: {
      look: 'Does the button go through, edge on, and hold?',
      repair: 'Make the loop a chain shorter or longer.',
    },
    minutes: 4,
  };
}

/** Loop and button on the strip as it lies: its flap ends at the right, its front at the left. */
function flatParts({ built }: FittingContext, below: number, loop: number, diameter: number, share: number): Part[] {
  const flat = built.views.find(({ id }) => id === 'flat')!;
  const cloths = flat.parts.filter((part): part is Cloth => part.type === 'cloth');
  const flap = cloths.find(({ role }) => role === 'flap');
  if (!flap) return [];
  const y = flap.y + share * flap.h;
  const front = cloths.find(({ role }) => role === 'front');
  return [
    { type: 'loop', x: flat.width, y, reach: loop / 2, towards: 'right' },
    ...(front
      ? [{ type: 'button', x: front.x - built.flap!.borderMm + below, y: front.y + share * front.h, diameter } as const]
      : []),
  ];
}

function foldedParts(
  flap: FlapPlace,
  below: number,
  loop: number,
  diameter: number,
  { built }: FittingContext,
  share: number,
): Placed['parts']['folded'] {
  const view = built.views.find((v) => v.id === 'folded')!;
  const cloth = view.parts.find((part) => part.type === 'cloth' && part.role === 'flap');
  const edge = cloth?.type === 'cloth' ? cloth.h : 0;
  const x = share * flap.width.value;
  return [
    { type: 'button', x, y: edge + (below - flap.edgeBelowFrontTop.value), diameter },
    { type: 'loop', x, y: edge, reach: loop / 2, towards: 'down' },
  ];
}

/** The place of a button on the front, mm from its left and top edge. */
export function buttonArea(x: number, below: number, diameter: number): Area {
  const half = diameter / 2;
  return { face: 'front', x: [x - half, x + half], y: [below - half, below + half] };
}

type Across = 'stitch' | 'row';
const MANY: Readonly<Record<Across, string>> = { stitch: 'stitches', row: 'rows' };

function halves(count: number, across: Across): string {
  return count % 2 === 1
    ? `both ends in the middle ${across}, ${plural((count - 1) / 2, across, MANY[across])} either side`
    : `between the two middle ${MANY[across]}, ${count / 2} either side`;
}

function middle(count: number, across: Across): string {
  return count % 2 === 1
    ? `on ${across} ${(count + 1) / 2}`
    : `between ${MANY[across]} ${count / 2} and ${count / 2 + 1}`;
}

function refuseWide(diameter: number, flap: FlapPlace, path: string): void {
  const limit = flap.width.value / 2;
  if (diameter <= limit) return;
  throw new PlanProblem([
    {
      path: `${path}.buttonMm`,
      message: `A button of ${typedToken(diameter)} is more than half the flap’s width (${mmToken(flap.width.value)}). Choose one of ${mostToken(limit)} or less.`,
    },
  ]);
}

/**
 * Refuses a button that would reach beyond the front.
 *
 * @throws PlanProblem with a flap that would do, or a smaller button
 */
export function refuseLow(lowest: number, flap: FlapPlace, path: string): void {
  if (lowest <= flap.frontMm) return;
  const most = flap.edgeBelowFrontTop.value - (lowest - flap.frontMm);
  const repair =
    most >= 5 ? `Let the flap reach ${mostToken(most)} or less, or choose a smaller button` : 'Choose a smaller button';
  throw new PlanProblem([
    {
      path: `${path}.buttonMm`,
      message: `The button would reach ${mmToken(lowest)} down a front of ${mmToken(flap.frontMm)}. ${repair}.`,
    },
  ]);
}

/** How far the button reaches below the flap's edge, mm: half its loop, in whole chains, and half of itself. */
function belowFlap({ options, fabric }: DemandContext): number {
  const diameter = chosen(Number(options.buttonMm), 'mm', 'button');
  const thickness = chosen(Number(options.buttonThicknessMm), 'mm', 'button');
  const wc = fabric.chain.value;
  const chains = options.chains === undefined ? loopLength(diameter, thickness).value / wc + 1 : Number(options.chains);
  return (chains * wc) / 2 + diameter.value / 2;
}

/** A loop of chains at the middle of the flap's edge, and its button on the front (handbook 6). */
export const buttonLoop: FittingDefinition = {
  id: 'button-loop',
  holdsIn: true,
  name: 'Button loop',
  summary: 'A loop of chain on the flap’s edge, and its button on the front.',
  asks: ['turn-over'],
  because: 'It sits on a flap’s edge.',
  needs: 'flap',
  closesFlap: true,
  demands: (context) => ({ belowFlap: belowFlap(context) }),
  hazards: ['small-part'],
  figures: {
    asked: 'Length needed',
    chains: 'Chains',
    length: 'Length',
    buttonBelowFrontTop: 'Button below the front’s top',
  },
  told: ({ buttonMm }, say) => `for ${withArticle(`${say.length(Number(buttonMm))} button`)}`,
  options: [
    ...BUTTON_FIELDS,
    {
      key: 'chains',
      kind: 'number',
      label: 'Chains of the loop',
      help: 'Left empty: as many as the button needs.',
      unit: 'chains',
      whole: true,
      min: 2,
      max: 80,
      optional: true,
    },
    { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' },
  ],
  place,
};
