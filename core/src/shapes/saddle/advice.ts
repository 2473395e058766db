import type { Advice } from '../../base/figure';
import type { WorkedBar } from '../../craft/things';
import { formatNumber, leastToken, mmToken } from '../../base/units';
import { BELOW_TABS, TAB_ROWS } from './courses';
import { masses, type Shares } from './shares';
import { behindMm, type SaddleSizes } from './sizes';

/** More lop-sided than this, the tabs must hold it, as a share of the heavier side (prior, ours). */
const LOPSIDED = 0.25;

/** Free on each side of the bar, so that hands get in, mm (prior, handbook 5.8). */
const HAND_ROOM_MM = 100;

/** A side that hangs lower than the other by more than this is told, mm (prior, ours). */
const LEVEL_MM = 10;

/** The heavier side pulls the lighter one over the bar; beyond a quarter the tabs must hold it. */
export function lopsided(shares: Shares): Advice[] {
  const [a, b] = masses(shares);
  const heavier = Math.max(a, b);
  if (heavier === 0 || (heavier - Math.min(a, b)) / heavier <= LOPSIDED) return [];
  return [
    {
      id: 'lopsided',
      severity: 'advice',
      text:
        a > b
          ? `The front is heavier (${formatNumber(a, 0)} g) than the back (${formatNumber(b, 0)} g), so the caddy may slip forwards.`
          : `The back is heavier (${formatNumber(b, 0)} g) than the front (${formatNumber(a, 0)} g), so the caddy may slip backwards.`,
      repair:
        a > b
          ? 'Move an item to the back, or keep both tabs buttoned.'
          : 'Move an item to the front, or keep both tabs buttoned.',
      at: 'shape.behind',
    },
  ];
}

/** Without tabs nothing but weight holds it. */
export function unweighed(shares: Shares): Advice[] {
  const [a, b] = masses(shares);
  if (a + b > 0) return [];
  return [
    {
      id: 'unweighed',
      severity: 'advice',
      text: 'Over a flat arm nothing but weight holds it, and nothing says what hangs on each side.',
      repair: 'Weigh the things and say so: then the weight to sew into the lighter side is told.',
      at: 'thing',
    },
  ];
}

/** Hands must get in between bar and mouth. */
export function handRoom({ dropFront, dropBack, edgeMm }: WorkedBar): Advice[] {
  const tight = [
    { key: 'dropFront', mm: dropFront.value - edgeMm },
    { key: 'dropBack', mm: dropBack.value - edgeMm },
  ].filter(({ mm }) => mm < HAND_ROOM_MM);
  if (tight.length === 0) return [];
  return [
    {
      id: 'hand-room',
      severity: 'advice',
      text: `A hand needs about ${mmToken(HAND_ROOM_MM)} between the bar and a pocket’s opening; here ${tight.map(({ mm }) => mmToken(Math.max(0, mm))).join(' and ')} ${tight.length > 1 ? 'are' : 'is'} free.`,
      repair: `Let the opening hang ${mmToken(HAND_ROOM_MM + edgeMm)} down.`,
      at: `carrier.${tight[0]!.key}`,
      change: Object.fromEntries(tight.map(({ key }) => [`carrier.${key}`, { mm: HAND_ROOM_MM + edgeMm }])),
    },
  ];
}

/** The tabs come below the bar, or they cannot be buttoned under it. */
export function tabRoom({ dropBack }: WorkedBar, { tab, rows: { rowHeight } }: SaddleSizes): Advice[] {
  const needs = (TAB_ROWS + BELOW_TABS) * rowHeight.value;
  if (!tab || dropBack.value >= needs) return [];
  return [
    {
      id: 'tabs-over-the-bar',
      severity: 'warning',
      text: `The tabs reach ${mmToken(needs)} up from the opening behind, and the bar’s middle is ${mmToken(dropBack.value)} above it: they would lie on the bar.`,
      repair: `Let the opening behind hang ${leastToken(Math.ceil(needs))} down or more.`,
      at: 'carrier.dropBack',
      change: { 'carrier.dropBack': { mm: Math.max(HAND_ROOM_MM, Math.ceil(needs)) } },
    },
  ];
}

/** The last pocket behind makes up for the others; where it cannot, one side hangs lower. */
export function unlevel(bar: WorkedBar, sizes: SaddleSizes): Advice[] {
  const apart = bar.dropBack.value + behindMm(sizes) - bar.dropFront.value - sizes.front.mm;
  if (Math.abs(apart) <= LEVEL_MM) return [];
  return [
    {
      id: 'hangs-unlevel',
      severity: 'advice',
      text: `The side ${apart > 0 ? 'behind' : 'in front'} hangs ${mmToken(Math.abs(apart))} lower than the other.`,
      repair:
        apart > 0 ? 'Make the pocket in front deeper, or the drop behind shorter.' : 'Make the drop behind longer.',
      at: 'shape.pocketMm',
    },
  ];
}
