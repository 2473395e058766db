import { singleWidth, type WorkedFabric, HOOKS, PROPOSED_HOOKS } from '../../craft/fabric';
import type { Advice } from '../../base/figure';
import { formatNumber, mmToken, withArticle } from '../../base/units';
import type { Foundation } from '../definition';
import { GAPES_ABOVE, PUCKERS_BELOW } from './flat';

/**
 * Whether the foundation is fit for the edge it becomes (handbook 2.1): an opening must not pucker, a closed bottom must
 * not gape.
 */
export function foundationAdvice(
  fabric: WorkedFabric,
  { kind, count, edge, hookMm: foundationHookMm }: Foundation,
): Advice[] {
  if (kind === 'ring') return [];
  const { chain, stitchWidth } = fabric;
  const ratio = chain.value / stitchWidth.value;
  const measures = `${count} chains measure ${mmToken(count * chain.value)}, the stitches on them ${mmToken(count * stitchWidth.value)}`;
  if (edge === 'opening' && ratio < PUCKERS_BELOW) {
    const other = chainHook(fabric, foundationHookMm, PROPOSED_HOOKS.step, PUCKERS_BELOW);
    return [
      {
        id: 'foundation-puckers',
        severity: 'warning',
        text: `The chain becomes the opening, and yours is tight: ${measures}. It would pucker.`,
        repair: `Work the chain looser, or with ${withArticle(`${formatNumber(other, 2)} mm hook`)} for the chain only.`,
        at: 'fabric.gauge.chains',
        change: { 'fabric.chainHookMm': other },
      },
    ];
  }
  if (edge === 'closed' && ratio > GAPES_ABOVE && chain.kind === 'measured') {
    const other = chainHook(fabric, foundationHookMm, -PROPOSED_HOOKS.step, GAPES_ABOVE);
    return [
      {
        id: 'foundation-gapes',
        severity: 'advice',
        text: `The chain becomes the closed bottom, and yours is loose: ${measures}. The bottom would gape.`,
        repair: `Work the chain tighter, or with ${withArticle(`${formatNumber(other, 2)} mm hook`)} for the chain only.`,
        at: 'fabric.gauge.chains',
        change: { 'fabric.chainHookMm': other },
      },
    ];
  }
  return [];
}

/** The next hook on which the chain lies within the bound: as a stitch would be larger or smaller on it (prior, handbook 2.1). */
function chainHook(
  { chain, stitchWidth, yarn, hookMm }: WorkedFabric,
  now: number | undefined,
  step: number,
  bound: number,
): number {
  const from = now ?? hookMm;
  const ratioOn = (mm: number) =>
    (chain.value * singleWidth(mm, yarn.value)) / singleWidth(from, yarn.value) / stitchWidth.value;
  // the first step on its own grid: half millimetres
  for (let mm = nextOnGrid(from, step); mm >= HOOKS.least && mm <= HOOKS.most; mm += step)
    if (step > 0 ? ratioOn(mm) >= bound : ratioOn(mm) <= bound) return mm;
  return step > 0 ? HOOKS.most : HOOKS.least;
}

const nextOnGrid = (mm: number, step: number): number =>
  step > 0 ? Math.floor(mm / step) * step + step : Math.ceil(mm / -step) * -step + step;
