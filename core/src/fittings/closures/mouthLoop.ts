import { chosen, derive, type Figure } from '../../base/figure';
import type { Instruction } from '../../craft/fabric';
import type { Free } from '../../piece';
import type { Built, MouthPlace, WorkStep } from '../../shapes';
import { formatNumber, mmToken, mostToken, plural, typedToken } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { buttonArea, loopRow, takesLoop } from './buttonLoop';
import { BUTTON_FIELDS, chainsFor, frontOf, IN_FROM, refuse, refuseBeside, sewnWhere, toTheFold } from '../common';

type Mm = Figure<'mm'>;

/** From the mouth's edge down to the button's upper rim, mm (prior, ours). */
const BELOW_MM = 6;

/**
 * A loop at the middle of the back's edge and a button on the front below it, for a mouth without a flap: it must let the
 * button through edge on, and reach over the filled top to it (law, handbook 6).
 */
function place({ built, fabric, thing, options, path }: FittingContext): Placed {
  if (built.flap)
    refuse(`${path}.kind`, 'This closes an opening without a flap. Remove the flap, or use a button and loop for it.');
  const face = frontOf(built);
  const diameter = chosen(Number(options.buttonMm), 'mm', 'button');
  const thickness = chosen(Number(options.buttonThicknessMm), 'mm', 'button');
  const below = derive(
    'mm',
    'button below the edge = 6 mm + diameter / 2',
    { diameter },
    (v) => BELOW_MM + v.diameter / 2,
  );
  if (below.value + diameter.value / 2 > face.height / 2)
    refuse(
      `${path}.buttonMm`,
      `A button of ${typedToken(diameter.value)} fills half the front, ${mmToken(face.height)} high. Use one of ${mostToken(Math.max(5, face.height / 2 - BELOW_MM))} or less.`,
    );
  const gap = derive('mm', 'gap = D + button below the edge', { D: thing.depth, below }, (v) => v.D + v.below);
  const asked = loopAsked(diameter, thickness, gap);
  const { chains, made } = chainsFor(asked, fabric.chain);
  const inFrom = options.inFromMm === undefined ? face.width / 2 : Number(options.inFromMm);
  const rim = diameter.value / 2;
  refuseBeside({ mm: inFrom, least: rim, most: face.width - rim }, `${path}.inFromMm`);
  const where =
    options.inFromMm === undefined ? 'at the middle' : `{mm:${formatNumber(inFrom)}} in from the {side:left} side`;
  const x = face.x + inFrom;
  return {
    figures: { asked, chains, length: made, buttonBelow: below },
    place: `loop ${where} of the back’s edge, ${plural(chains.value, 'chain')}; button on the front, {mm:${formatNumber(below.value)}} below its edge`,
    ...loopMade(built, chains.value, options.inFromMm === undefined ? 0.5 : inFrom / face.width),
    steps: [
      ...loopSteps(built, chains.value, options.inFromMm === undefined ? undefined : inFrom),
      {
        id: 'sew-button',
        section: 'closing',
        kind: 'closure',
        does: sewnWhere(
          'button',
          {
            says: 'Put the item in and lay the loop over to the front: the button’s middle comes about {at}. Mark where the loop ends.',
            at: [{ on: 'front', below: below.value, of: { wide: face.width, high: face.height } }],
          },
          'sew the button on there, through the front layer only.',
        ),
        check: {
          look: 'Does the needle come out inside the pouch, and not through the back? Does the loop hold the opening shut?',
          repair: 'Set the button a row higher or lower.',
        },
        minutes: 8,
      },
    ],
    parts: {
      folded: [
        { type: 'button', x, y: face.y + below.value, diameter: diameter.value },
        { type: 'loop', x, y: face.y, reach: below.value + diameter.value / 2, towards: 'down' },
      ],
    },
    advice: [],
    areas: [buttonArea(inFrom, below.value, diameter.value)],
    notions: [{ name: 'button', size: typedToken(diameter.value), count: 1 }],
  };
}

/** Round the button edge on, or twice the way to its far rim: the longer of both (law, handbook 6). */
function loopAsked(diameter: Mm, thickness: Mm, gap: Mm): Mm {
  return derive(
    'mm',
    'loop = the longer of 2 × (diameter + thickness) and 2 × (gap + diameter / 2)',
    { diameter, thickness, gap },
    (v) => Math.max(2 * (v.diameter + v.thickness), 2 * (v.gap + v.diameter / 2)),
  );
}

const LOOP_STEP = 'work-mouth-loop';

/** In the row that becomes the back's edge, or in the last border worked along it. */
function loopMade({ backEdge, pieces }: Built, chains: number, share: number): Pick<Placed, 'rows' | 'loop'> {
  if (!backEdge) return { rows: [] };
  const { piece, edge, row } = backEdge;
  const of = pieces.find(({ id }) => id === piece);
  const last = of?.courses[row - 1]!.instructions ?? [];
  const rows =
    of && takesLoop(last, of.stitches) ? [{ piece, row, instructions: loopRow(last, of.stitches, chains, share) }] : [];
  return { rows, loop: { piece, edge, chains, step: LOOP_STEP, share } };
}

/**
 * The loop as a step of its own: gone on with from a last round, before its yarn is cut; else joined on, where no row nor border is there
 * to hold it.
 */
function loopSteps(
  { backEdge, pieces, rimGoesOn, mouth }: Built,
  chains: number,
  inMm: number | undefined,
): WorkStep[] {
  const piece = backEdge && pieces.find(({ id }) => id === backEdge.piece);
  if (piece && takesLoop(piece.courses[backEdge.row - 1]!.instructions, piece.stitches)) return [];
  const onward = rimGoesOn && mouth && inMm === undefined ? goneOn(mouth, chains) : undefined;
  return [
    {
      id: LOOP_STEP,
      section: 'closing',
      kind: 'closure',
      ...(onward ? ({ after: mouth!.piece, goesOn: true } as const) : {}),
      does: [onward ?? joined(chains, inMm)],
      check: {
        look: 'Does the button go through, edge on, and hold?',
        repair: 'Make the loop a chain shorter or longer.',
      },
      minutes: 2,
    },
  ];
}

/** From where the hook is, by slip stitches along to the middle of a half: that half becomes the back. */
function goneOn(mouth: MouthPlace, chains: number): Free {
  const half = Math.floor(mouth.stitches / 2);
  const { shift } = toTheFold(mouth, mouth.to + 1, { back: 0, on: half });
  const on = (shift + Math.floor(half / 2)) % half;
  const found = mouth.lies ? 'Lay it flat along its bottom: the loop sits in the middle of one side, the back. ' : '';
  const along: Instruction[] = on > 0 ? [{ do: 'slip-along', times: on }] : [];
  return {
    do: 'free',
    id: 'mouth-loop',
    lead: `${found}From where the hook is:`,
    courses: [[...along, { do: 'loop', chains, closes: 'same-stitch' }]],
    times: 1,
    tails: 0,
    onward: true,
  };
}

const joined = (chains: number, inMm: number | undefined): Free => ({
  do: 'free',
  id: 'mouth-loop',
  lead: '',
  from: { at: 'along', line: 'the back’s edge', ...(inMm === undefined ? {} : { inMm }) },
  slipped: true,
  courses: [[{ do: 'loop', chains, closes: 'same-stitch' }]],
  times: 1,
  tails: 0,
});

export const mouthLoop: FittingDefinition = {
  id: 'mouth-loop',
  holdsIn: true,
  name: 'Loop and button at the opening',
  summary: 'Closes an opening that has no flap.',
  asks: ['straight-mouth'],
  because: 'It reaches from the back’s edge over to the front.',
  hazards: ['small-part'],
  figures: { asked: 'Loop needed', chains: 'Chains', length: 'Loop', buttonBelow: 'Button below the edge' },
  options: [...BUTTON_FIELDS, { ...IN_FROM, help: 'To its middle. Left empty: in the middle.' }],
  place,
};
