import { singleWidth, type WorkedFabric } from '../../craft/fabric';
import type { Advice, Figure } from '../../base/figure';
import { formatNumber, mmToken, plural } from '../../base/units';
import type { Piece } from '../definition';
import { edgingDepth } from '../common/flat';
import { widthOf, type ClusterGauge } from './piece';

type Mm = Figure<'mm'>;

/** Hooks are tried in steps of a quarter millimetre, down to so much smaller ones, mm (ours). */
const HOOK_STEP_MM = 0.25;
const SMALLER_MM = 1.5;
const LEAST_HOOK_MM = 2;

/** A width that misses by less than this part of a step is near enough (ours). */
const NEAR = 0.2;

/**
 * Where whole rounds miss the width: rounds of single around the rectangles make up for it, else a smaller hook of which they
 * come nearer (handbook 5.7).
 */
export function stepMisses(
  asked: Mm,
  { rounds, edging }: { rounds: number; edging: Mm },
  gauge: ClusterGauge,
  fabric: WorkedFabric,
): Advice[] {
  const step = 2 * gauge.h.value;
  const off = widthOf(gauge, rounds) + 2 * edging.value - asked.value;
  if (Math.abs(off) <= NEAR * step) return [];
  const misses = `A round of groups adds ${mmToken(step)} to the width: ${plural(rounds, 'round')}${edging.value > 0 ? ' with their edging' : ''} ${rounds === 1 ? 'is' : 'are'} ${mmToken(Math.abs(off))} too ${off > 0 ? 'wide' : 'narrow'}.`;
  const advice = { id: 'cluster-step', severity: 'advice', text: misses } as const;
  const finer = edgedNearer(asked, gauge, fabric);
  if (finer && Math.abs(finer.off) < Math.abs(off) / 2)
    return [
      {
        ...advice,
        repair: `Work ${plural(finer.rounds, 'round')} of groups and ${finer.edging} of edging around each rectangle${finer.last === 'slip' ? `, ${finer.edging > 1 ? 'the last of them' : 'that one'} of slip stitches` : ''}: they come to within about ${mmToken(Math.max(1, Math.round(Math.abs(finer.off))))}.`,
        at: 'shape.edging',
        change: { 'shape.edging': finer.edging, 'shape.edgingOf': finer.last },
        otherwise: OTHER_FIT,
      },
    ];
  const best = hooksBelow(fabric.hookMm)
    .map((hookMm) => ({ hookMm, ...nearest(asked, gauge, singleRatio(hookMm, fabric)) }))
    .reduce<Nearest | undefined>((so, one) => (!so || one.off < so.off - 1e-9 ? one : so), undefined);
  if (!best || best.off > NEAR * step * singleRatio(best.hookMm, fabric))
    return [{ ...advice, repair: OTHER_FIT, at: 'fit' }];
  return [
    {
      ...advice,
      repair: `With a ${formatNumber(best.hookMm, 2)} mm hook ${plural(best.rounds, 'round')} come to within about ${mmToken(Math.max(1, Math.round(best.off)))}. Measure a swatch on it.`,
      at: 'fabric.hookMm',
      change: { 'fabric.hookMm': best.hookMm },
      otherwise: OTHER_FIT,
    },
  ];
}

/** Rounds of single around a rectangle, at the most (the form's own limit). */
export const MOST_EDGING = 4;

/** The rounds of groups and of edging around them that come nearest to a width, as few of these as do. */
function edgedNearer(asked: Mm, gauge: ClusterGauge, fabric: WorkedFabric) {
  const most = Math.max(1, Math.floor((asked.value - gauge.across.value) / (2 * gauge.h.value)));
  const options = [most, most + 1].flatMap((rounds) =>
    Array.from({ length: MOST_EDGING + 1 }, (_, edging) => edging).flatMap((edging) =>
      (edging === 0 ? (['single'] as const) : (['single', 'slip'] as const)).map((last) => ({
        rounds,
        edging,
        last,
        off:
          widthOf(gauge, rounds) + 2 * edgingDepth(edging, { fabric, options: { edgingOf: last } }).value - asked.value,
      })),
    ),
  );
  const best = options.reduce((so, one) => (Math.abs(one.off) < Math.abs(so.off) - 1 ? one : so));
  return best.edging > 0 ? best : undefined;
}

const OTHER_FIT = 'Take another fit, or panels in rows.';

interface Nearest {
  hookMm: number;
  rounds: number;
  off: number;
}

function hooksBelow(hookMm: number): number[] {
  const least = Math.max(LEAST_HOOK_MM, hookMm - SMALLER_MM);
  const steps = Math.max(0, Math.floor((hookMm - least) / HOOK_STEP_MM + 1e-9));
  return Array.from({ length: steps }, (_, index) => hookMm - (index + 1) * HOOK_STEP_MM);
}

/** How much smaller everything comes out on another hook (prior, handbook 2.1). */
const singleRatio = (hookMm: number, fabric: WorkedFabric): number =>
  singleWidth(hookMm, fabric.yarn.value) / singleWidth(fabric.hookMm, fabric.yarn.value);

/** The rounds whose width comes nearest when everything is so much smaller. */
function nearest(asked: Mm, { across, h }: ClusterGauge, ratio: number): { rounds: number; off: number } {
  const rounds = Math.max(1, Math.round((asked.value / ratio - across.value) / (2 * h.value)));
  return { rounds, off: Math.abs(ratio * (across.value + 2 * rounds * h.value) - asked.value) };
}

/** A rectangle of clusters is longer than wide by its strip: things wider than tall get more than they need. */
export function tooTall(wanted: Mm, { height, width }: Piece, { pitch }: ClusterGauge): Advice[] {
  const over = height.value - wanted.value;
  if (over <= pitch.value / 2 + 1e-9) return [];
  return [
    {
      id: 'clusters-too-tall',
      severity: 'warning',
      text: `Rounds of groups as wide as ${mmToken(width.value)} are at least ${mmToken(height.value)} long; ${mmToken(wanted.value)} would do. The front stands ${mmToken(over)} above the item.`,
      repair: 'Put it in with its longer side upright, or take two panels in rows.',
      at: 'shape.kind',
      change: { shape: { kind: 'two-panels' } },
      otherwise: 'Put it in with its longer side upright, or choose another shape.',
    },
  ];
}
