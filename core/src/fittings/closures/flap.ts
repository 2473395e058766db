import { chosen, derive, type Advice } from '../../base/figure';
import { LEAST_WITH_CLOSURE_MM } from '../../shapes/common/flat';
import type { Built } from '../../shapes';
import { type Field, formatNumber, leastToken, LONGEST_MM, typedToken } from '../../base/units';
import { NOTHING_PLACED, type FittingDefinition, type Placed } from '../definition';

const options: readonly Field[] = [
  {
    key: 'overlapMm',
    kind: 'length',
    label: 'Reaches down the front',
    help: 'Left empty: a third of the front, at least {mm:35} where it closes.',
    min: 5,
    max: LONGEST_MM,
    optional: true,
  },
  {
    key: 'foldLine',
    kind: 'choice',
    label: 'Fold line',
    help: 'A stiff fabric turns better over a row in the back loops.',
    options: [
      { id: 'none', name: 'none' },
      { id: 'back-loops', name: 'a row in the back loops at each turn' },
    ],
    default: 'none',
  },
];

/** The first row of the turn, and of the flap, worked in the back loops: there it folds (handbook 6, flap). */
function foldLines({ pieces }: Built): NonNullable<Placed['notes']> {
  return pieces.flatMap(({ id, sections }) =>
    sections
      .filter(({ name, count }) => (name === 'turn' || name === 'flap') && count.unit === 'rows')
      .map(({ from }) => ({ piece: id, row: from, text: 'Work this row in the back loop only (BLO): it folds here.' })),
  );
}

/** A flap that closes must reach far enough to carry its closure. */
function tooShort(overlapMm: unknown, closesFlap: boolean, path: string): Advice[] {
  if (!closesFlap || overlapMm === undefined || Number(overlapMm) >= LEAST_WITH_CLOSURE_MM) return [];
  return [
    {
      id: 'flap-short',
      severity: 'advice',
      text: `A flap that reaches ${typedToken(Number(overlapMm))} down hardly carries what closes it.`,
      repair: `Let it reach ${leastToken(LEAST_WITH_CLOSURE_MM)}.`,
      at: `${path}.overlapMm`,
      change: { [`${path}.overlapMm`]: LEAST_WITH_CLOSURE_MM },
    },
  ];
}

/** The end of the strip, turned over the top and down the front (handbook 6, flap). */
export const flap: FittingDefinition = {
  id: 'flap',
  holdsIn: true,
  name: 'Flap',
  summary: 'Turns over the top and down the front.',
  asks: ['turn-over'],
  because: 'A flap continues a back worked in rows.',
  gives: 'flap',
  figures: { length: 'Length', edgeBelowFrontTop: 'Edge below the front’s top' },
  options,
  demands: ({ options: given, path, closesFlap }) => ({
    flap: {
      path,
      ...(given.overlapMm === undefined ? {} : { overlapMm: Number(given.overlapMm) }),
      withClosure: closesFlap,
    },
  }),
  place: ({ built, fabric, options: given, path, closesFlap }): Placed => {
    const advice = tooShort(given.overlapMm, closesFlap, path);
    const { edgeBelowFrontTop } = built.flap!;
    const section = built.pieces.flatMap(({ sections }) => sections).find(({ name }) => name === 'flap');
    const edge = `closed, its edge lies {mm:${formatNumber(edgeBelowFrontTop.value)}} below the front’s top edge`;
    if (!section)
      return { ...NOTHING_PLACED, advice, figures: { edgeBelowFrontTop }, place: `the back’s top part; ${edge}` };
    const acrossRows = section.count.unit === 'rows';
    const count = chosen(
      acrossRows ? section.rows : section.stitches,
      section.count.unit,
      `${section.count.unit} of the flap`,
    );
    const size = acrossRows ? fabric.rowHeight : fabric.stitchWidth;
    return {
      ...NOTHING_PLACED,
      ...(given.foldLine === 'back-loops' ? { notes: foldLines(built) } : {}),
      advice,
      figures: {
        length: derive('mm', acrossRows ? 'flap = rows × h' : 'flap = n × w', { count, size }, (v) => v.count * v.size),
        edgeBelowFrontTop,
      },
      place: `${section.count.unit} ${section.from} to ${section.to}; ${edge}`,
    };
  },
};
