import type { Landmark, Lies, Spot } from './place';
import { formatNumber, listed, plural } from '../base/units';

type Words = { [A in Landmark['at']]: (landmark: Extract<Landmark, { at: A }>) => string };

const sideOf = (side: string) => `{side:${side}}`;

const WORDS: Words = {
  corner: () => 'at a corner',
  line: ({ line, side, as = 'side' }) => `at ${line}${side ? `, at the ${sideOf(side)} ${as}` : ''}`,
  end: ({ line, side }) => (side ? `at the ${sideOf(side)} end of ${line}` : `at one end of ${line}`),
  side: ({ layer, side, below }) =>
    `at the ${sideOf(side)} side of the ${layer}, ${below > 0 ? `${plural(below, 'stitch', 'stitches')} below its top edge` : 'at its top edge'}`,
  level: ({ layer, side, with: line }) => `at the ${sideOf(side)} edge of the ${layer}, level with ${line}`,
  row: ({ row, end }) => `at the ${end} of ${row === 'last' ? 'the last row' : `row ${row}`}`,
  top: ({ of, side }) =>
    of === 'corner' ? `at the ${sideOf(side)} top corner` : `to the top end of the ${sideOf(side)} side edge`,
  along: ({ line, inMm }) =>
    inMm === undefined
      ? `at the middle of ${line}`
      : `{mm:${formatNumber(inMm)}} in from the ${sideOf('left')} side of ${line}`,
  'below-opening': () => 'at the side edge, a row below the opening',
  'round-start': ({ line }) => `at ${line}, where its rounds begin`,
  stitches: ({ line, from, to }) =>
    `in stitch ${from} of ${line}, counted from where its round begins, and work along to stitch ${to}`,
  'free-loops': ({ round }) => `in a loop that round ${round} left free, the bag held upside down, the outside facing`,
  meeting: () => 'in the middle of one end, where the edges meet',
  tail: () => 'that hangs there',
};

/** Where work begins, in words that can follow “join the yarn”. */
export function landmarkWords<A extends Landmark['at']>(landmark: Extract<Landmark, { at: A }>): string {
  return (WORDS[landmark.at as A] as (one: Extract<Landmark, { at: A }>) => string)(landmark);
}

function throughWords(through: NonNullable<Lies['through']>): string {
  if (through === 'edgings') return 'through both edgings';
  if (through === 'both') return 'through both, stitch for stitch';
  return through === 2 ? 'through both layers' : `through all ${through} layers`;
}

/** A side, an edge or what has a name, with the way it is gone. */
function wayWords({ way, side, of = 'side', alone }: Lies): string {
  const what = side ? `the ${sideOf(side)} ${of}` : of;
  const along = way === 'on' || way === 'back' ? `${way} along ${what}` : `${way!} ${what}`;
  if (!alone) return along;
  return `${way === 'up' ? 'on' : 'back'} along the ${alone} alone, ${along}`;
}

/** What a part of a way lies along, in words. */
export function liesWords(lies: Lies): string {
  const { through, line, goes = 'along', level, way } = lies;
  const layers = through === undefined ? '' : throughWords(through);
  if (way) return [layers, wayWords(lies)].filter(Boolean).join(', ');
  const along = line === undefined ? '' : `${goes} ${line}${level ? ', the layers held level' : ''}`;
  return [layers, along].filter(Boolean).join(' ');
}

/** Where several sit one above the other. */
export const spotsWords = (spots: readonly Spot[]): string =>
  `${listed(spots.map(({ below }) => `{mm:${formatNumber(below ?? 0)}}`))} below the ${spots[0]!.on}’s top edge`;

/** Where something sits, in words that can follow “sew it on”. */
export function spotWords({ on, inMm, pair, cornerMm, below, above }: Spot): string {
  if (cornerMm !== undefined)
    return `to the lower ${sideOf('left')} of the ${on}, {mm:${formatNumber(cornerMm)}} from both edges`;
  if (on === 'top-fold') return `{mm:${formatNumber(below ?? 0)}} below the row where the top fold starts`;
  if (pair && typeof inMm === 'number') return `{mm:${formatNumber(inMm)}} in from the side`;
  const across =
    inMm === undefined
      ? []
      : [inMm === 'middle' ? 'in the middle' : `{mm:${formatNumber(inMm)}} in from the ${sideOf('left')} side`];
  if (on === 'flap-edge') return `{mm:${formatNumber(above ?? 0)}} above the flap’s edge`;
  if (on === 'flap')
    return [
      'on the flap',
      ...(above === undefined ? [] : [`{mm:${formatNumber(above)}} above its edge`]),
      ...across,
    ].join(', ');
  const down = below === undefined ? [] : [`{mm:${formatNumber(below)}} below the ${on}’s top edge`];
  return [...down, ...across].join(', ');
}
