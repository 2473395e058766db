import { work } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import { landmarkWords, type Free, type Landmark } from '../../piece';
import type { Hazard } from '../../craft/things';
import { formatNumber, plural } from '../../base/units';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';
import { chainsFor, frontOf, lengthOf, refuse } from '../common';

interface LoopKind {
  id: string;
  name: string;
  summary: string;
  /** What the option asks, its usual value and its limits, mm. */
  asks: { label: string; usual: number; min: number; max: number };
  /** What is measured for it on the body, where it is not typed. */
  measured?: (context: FittingContext) => Figure<'mm'>;
  /** Chain length for what is asked, mm. */
  length: (asked: Figure<'mm'>) => Figure<'mm'>;
  /** Where on the face: shares from the left and from the top; and what that place is. */
  at: { x: number; y: number };
  where: Landmark;
  then: string;
  notion?: string;
  hazards?: readonly Hazard[];
}

/** A loop of chain: both ends sewn to one place (handbook 6). */
function placed(kind: LoopKind, context: FittingContext): Placed {
  const { built, fabric, options, path } = context;
  const face = frontOf(built);
  const asked =
    kind.measured && options.sizeMm === undefined ? kind.measured(context) : lengthOf(options.sizeMm, 'typed');
  const length = kind.length(asked);
  const { chains, made } = chainsFor(length, fabric.chain);
  const corner = options.at === 'corner';
  const on = options.at === 'on';
  if (on && !built.rimGoesOn)
    refuse(`${path}.at`, 'Only from a last round that becomes the opening can a loop be worked on. Use another place.');
  const at = corner || on ? { x: 1, y: 0 } : kind.at;
  const topCorner: Landmark = built.topCorner?.where ?? { at: 'top', of: 'corner', side: 'right' };
  const where: Landmark = corner ? topCorner : on ? { at: 'round-start', line: 'the opening' } : kind.where;
  const [x, y] = [face.x + at.x * face.width, face.y + at.y * face.height];
  return {
    figures: { length, chains },
    place: `${landmarkWords(where)}; ${plural(chains.value, 'chain')}, {mm:${formatNumber(made.value)}}`,
    rows: [],
    steps: [
      {
        id: `work-${kind.id}`,
        section: 'closing',
        kind: 'closure',
        ...(on ? ({ after: built.pieces[0]!.id, goesOn: true } as const) : {}),
        does: [loopMade(kind.id, chains.value, on ? undefined : where)],
        ...(kind.then ? { text: kind.then } : {}),
        check: { look: 'Does it hold a good pull?', repair: 'Sew over the base of the loop three more times.' },
        minutes: 5,
      },
    ],
    ...(corner
      ? {
          loop: {
            piece: built.pieces[0]!.id,
            edge: 'corner' as const,
            corner: built.topCorner,
            chains: chains.value,
            step: `work-${kind.id}`,
          },
        }
      : {}),
    parts: { folded: [{ type: 'loop', x, y, reach: made.value / 2, towards: at.y === 0 ? 'up' : 'right' }] },
    advice: [],
    areas: [{ face: 'mouth', x: [x - face.x - 4, x - face.x + 4], y: [0, 5] }],
    ...(kind.notion ? { notions: [{ name: kind.notion, count: 1 }] } : {}),
  };
}

/** A loop of chains covered with singles: joined on at its place, or on from where the hook is. */
function loopMade(id: string, chains: number, from: Landmark | undefined): Free {
  return {
    do: 'free',
    id,
    lead: '',
    ...(from ? { from, slipped: true } : {}),
    courses: [[{ do: 'loop', chains, closes: 'same-stitch' }], [work('single', chains, 'chain')]],
    times: 1,
    tails: 0,
    ...(from === undefined ? { onward: true } : {}),
  };
}

function loop(kind: LoopKind): FittingDefinition {
  const { label, usual, min, max } = kind.asks;
  return {
    id: kind.id,
    name: kind.name,
    summary: kind.summary,
    asks: [],
    ...(kind.hazards ? { hazards: kind.hazards } : {}),
    figures: { length: 'Length', chains: 'Chains' },
    options: [
      kind.measured
        ? {
            key: 'sizeMm',
            kind: 'length',
            label,
            help: 'Left empty: as measured on the hand.',
            min,
            max,
            optional: true,
          }
        : { key: 'sizeMm', kind: 'length', label, min, max, default: usual },
      {
        key: 'at',
        kind: 'choice',
        label: 'Where',
        options: [
          { id: 'usual', name: landmarkWords(kind.where) },
          { id: 'corner', name: 'at a corner, chained on where a border passes it' },
          { id: 'on', name: 'worked on from the last round' },
        ],
        default: 'usual',
      },
    ],
    place: (context) => placed(kind, context),
  };
}

export const hangingLoop = loop({
  hazards: ['cord'],
  id: 'hanging-loop',
  name: 'Hanging loop',
  summary: 'At the back’s middle, to hang it on a hook.',
  asks: { label: 'Loop length', usual: 50, min: 15, max: 300 },
  length: (asked) => derive('mm', 'chain = 2 × loop', { loop: asked }, (v) => 2 * v.loop),
  at: { x: 0.5, y: 0 },
  where: { at: 'along', line: 'the back’s top edge' },
  then: '',
});

export const clipLoop = loop({
  id: 'clip-loop',
  name: 'Clip loop',
  summary: 'At a side edge, for a clip or a swivel hook.',
  asks: { label: 'Clip width', usual: 12, min: 4, max: 60 },
  length: (asked) => derive('mm', 'chain = π × clip + 10 mm', { clip: asked }, (v) => Math.PI * v.clip + 10),
  at: { x: 1, y: 0.08 },
  where: { at: 'below-opening' },
  then: 'Hang the clip in.',
  notion: 'clip or swivel hook',
});

/** Around the knuckles of most hands, mm, and how far they differ (prior, ours). */
const KNUCKLES = { mm: 215, sd: 15 };

/** The hand slips through with so much to spare (prior, ours). */
const HAND_EASE = 0.05;

export const wristLoop = loop({
  hazards: ['cord'],
  id: 'wrist-loop',
  name: 'Wrist loop',
  summary: 'At one top corner, as long as the hand that goes through it.',
  asks: { label: 'Around the knuckles', usual: KNUCKLES.mm, min: 80, max: 400 },
  measured: ({ carrier }) => {
    const hand = carrier?.kind === 'body' ? (carrier.hand as { mm: number } | undefined) : undefined;
    return hand ? chosen(hand.mm, 'mm', 'measured on the hand') : prior(KNUCKLES.mm, 'mm', KNUCKLES.sd, 'most hands');
  },
  length: (asked) => {
    const ease = prior(HAND_EASE, '1', 0, 'to slip through');
    return derive('mm', 'chain = knuckles × (1 + ease)', { knuckles: asked, ease }, (v) => v.knuckles * (1 + v.ease));
  },
  at: { x: 1, y: 0 },
  where: { at: 'end', line: 'the opening', side: 'right' },
  then: '',
});
