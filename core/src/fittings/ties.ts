import { chosen, derive, prior } from '../figure';
import { formatNumber, plural } from '../units';
import { type FittingContext, type FittingDefinition, type Placed } from './definition';
import { chainsFor, chainYarn, frontOf } from './common';

/** For the bow, mm (prior, handbook 6). */
const BOW_MM = 250;

/** Layers of a case folded in thirds, in halves, or not at all. */
const LAYERS: Readonly<Record<string, number>> = { none: 1, halves: 2, thirds: 3 };

/** A tie round the folded bundle: its girth times the turns, and 250 mm for the bow (law, with the bow a prior; handbook 6). */
function place({ built, fabric, thing, options }: FittingContext): Placed {
  const face = frontOf(built);
  const layers = LAYERS[String(options.folded)]!;
  const wide = chosen(face.width / layers, 'mm', layers === 1 ? 'the case' : 'the case folded');
  const turns = chosen(Number(options.turns), '1', 'turns');
  const count = chosen(layers, '1', 'times folded upon itself');
  const girth = derive(
    'mm',
    'bundle = 2 (width + layers × (D + 2t))',
    { width: wide, layers: count, D: thing.depth, t: fabric.thickness },
    (v) => 2 * (v.width + v.layers * (v.D + 2 * v.t)),
  );
  const bow = prior(BOW_MM, 'mm', 0, 'for the bow');
  const length = derive('mm', 'tie = bundle × turns + 250 mm', { girth, turns, bow }, (v) => v.girth * v.turns + v.bow);
  const { chains, made } = chainsFor(length, fabric.chain);
  const at = face.height / 2;
  return {
    figures: { girth, length, chains },
    place: `at the middle of one side, {mm:${formatNumber(at)}} below the top; ${plural(chains.value, 'chain')}`,
    rows: [],
    steps: [
      {
        id: 'sew-tie',
        section: 'closing',
        kind: 'closure',
        phase: 'mouth',
        text: `Chain ${chains.value} for the tie, fasten off. Sew it by its middle to one side edge, {mm:${formatNumber(at)}} below the top.`,
        check: {
          look: 'Folded and filled, does it go round and leave a bow?',
          repair: 'Add chains before you sew it on.',
        },
        minutes: 6 + chains.value / 40,
      },
    ],
    parts: {
      folded: [
        {
          type: 'line',
          kind: 'cord',
          x1: face.x + face.width,
          y1: face.y + at,
          x2: face.x + face.width + 0.2 * face.width,
          y2: face.y + at,
          label: 'tie',
        },
      ],
    },
    advice: [],
    yarnMm: chainYarn(made.value),
  };
}

export const ties: FittingDefinition = {
  id: 'ties',
  name: 'Ties',
  summary: 'Go round the folded bundle and end in a bow.',
  asks: ['bundle'],
  because: 'There is nothing to tie round: it is held by its tabs.',
  hazards: ['cord'],
  figures: { girth: 'Round the bundle', length: 'Length', chains: 'Chains' },
  options: [
    {
      key: 'folded',
      kind: 'choice',
      label: 'The case is',
      options: [
        { id: 'none', name: 'not folded' },
        { id: 'halves', name: 'folded in halves' },
        { id: 'thirds', name: 'folded in thirds' },
      ],
      default: 'none',
    },
    { key: 'turns', kind: 'number', label: 'Turns around it', unit: '', whole: true, min: 1, max: 6, default: 1 },
  ],
  place,
};
