import { divide, lineOf, type Divided } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import type { Room } from '../../craft/fit';
import type { PocketWant } from '../../craft/things';
import { formatNumber, listed, plural, typedToken } from '../../base/units';
import type { ShapeContext, WorkStep } from '../definition';
import { BELOW_TABS, type Tab } from './courses';
import { masses, sidesOf, type Shares } from './shares';
import type { SaddleSizes } from './sizes';

/** A weight to sew in is told in whole 5 g (ours). */
const WEIGHT_STEP_G = 5;

/** Yarn against the length of a line sewn up through both layers: backstitch (handbook 4.4, running). */
const LINE_FACTOR = 2;

/** Where the tabs' buttons go, once it hangs. */
export function tabButtons({ options: given }: ShapeContext, { spanRows }: SaddleSizes, tab: Tab): WorkStep {
  const middle = tab.inner + tab.hole / 2;
  return {
    id: 'tab-buttons',
    section: 'closing',
    kind: 'closure',
    does: [
      {
        do: 'fill',
        says: 'Hang it over the bar, filled, bring both tabs around to the front and mark the place under each hole.',
      },
      { do: 'empty' },
      {
        do: 'sew',
        id: 'tab-buttons',
        mm: 0,
        says: `at each mark, about ${plural(BELOW_TABS + 2, 'row')} above the pocket’s opening and ${formatNumber(middle)} stitches in from the edge, sew a button of {mm:${Number(given.buttonMm)}} to the front, through one layer only.`,
      },
    ],
    check: {
      look: 'Buttoned, does it stay where it hangs when one pocket is emptied?',
      repair: `Set the buttons ${spanRows > 20 ? 'two rows' : 'a row'} lower.`,
    },
    minutes: 8,
    notions: [{ name: 'button', size: typedToken(Number(given.buttonMm)), count: 2 }],
  };
}

/** Over a flat arm the lighter side is weighted, by what the other one pulls more (law, handbook 5.8). */
export function counterweight(shares: Shares): WorkStep[] {
  const [a, b] = masses(shares);
  const weight = WEIGHT_STEP_G * Math.ceil(Math.abs(a - b) / WEIGHT_STEP_G);
  if (weight === 0) return [];
  const lighter = a < b ? 'in front' : 'behind';
  return [
    {
      id: 'counterweight',
      section: 'closing',
      kind: 'assembly',
      does: [
        {
          do: 'sew',
          id: 'counterweight',
          mm: 0,
          says: `sew flat weights of ${weight} g in all along the bottom of the pocket ${lighter}, from inside: both sides pull alike then.`,
        },
      ],
      check: {
        look: 'Filled and laid over the arm, does it stay where it is let go?',
        repair: 'Add a weight to the side that rises.',
      },
      minutes: 10,
      notions: [{ name: 'flat weights to sew in', size: `${weight} g in all`, count: 1 }],
    },
  ];
}

/** Where several things share a pocket, it is parted between them in the proportion of their widths, in whole columns. */
export function partings(
  { front, behind }: Shares,
  sizes: SaddleSizes,
  easeShare: number,
  fabric: WorkedFabric,
): WorkStep[] {
  const { half } = sizes;
  const pockets = [
    { id: 'front', wants: front, pocket: sizes.front },
    ...behind.map((wants, index) => ({
      id: behind.length === 1 ? 'back' : `back-${index + 1}`,
      wants,
      pocket: sizes.behind[index]!,
    })),
  ];
  return pockets.flatMap(({ id, wants, pocket }): WorkStep[] => {
    if (wants.length < 2) return [];
    const { lines } = partedInto(wants, half, easeShare, fabric);
    const names = listed(wants.map(({ name }) => name));
    return [
      {
        id: `part-pocket-${id}`,
        section: 'joining',
        kind: 'assembly',
        does: [
          {
            do: 'sew',
            id: `parting-${id}`,
            layers: 'both',
            mm: LINE_FACTOR * lines.length * pocket.mm,
            lines: { between: lines, of: half, mm: pocket.mm, high: pocket.mm },
            says: `divide the ${pocket.name} for ${names}: mark the lines with pins {columns}, and backstitch from the bottom up through both layers. Go over the top end of each twice.`,
          },
        ],
        check: {
          look: 'Has every stitch caught both layers?',
          repair: 'Unpick the line and move it by a column.',
        },
        minutes: 5 * lines.length,
      },
    ];
  });
}

/** How a pocket's columns are shared out among what is in it, and after which of them its lines lie (handbook 6). */
function partedInto(
  wants: readonly PocketWant[],
  half: number,
  easeShare: number,
  { stitchWidth, thickness }: WorkedFabric,
): Divided {
  return divide(sidesOf(wants, easeShare, thickness.value), half, stitchWidth.value, 'shared', lineOf('sewn'));
}

/**
 * The rooms of a saddle that holds several things: each between the lines beside it, which take their part of the columns
 * (handbook 3 and 6). One thing has the whole piece for its room.
 */
export function roomsOf(
  { front, behind }: Shares,
  { half }: SaddleSizes,
  easeShare: number,
  fabric: WorkedFabric,
  give: number,
): Room[] {
  const pockets = [front, ...behind];
  if (pockets.flat().length < 2) return [];
  return pockets.flatMap((wants) => {
    const { channels, lost } = partedInto(wants, half, easeShare, fabric);
    return wants.map(({ name, girth }, index): Room => {
      const columns = channels[index]!.columns - lost[index]!;
      return { name, inside: ({ w, t }) => 2 * columns * w - Math.PI * t, holds: girth, give };
    });
  });
}
