import type { WorkedFabric } from '../../fabric';
import type { Advice } from '../../figure';
import { formatLength, formatNumber, withArticle } from '../../units';
import type { Foundation } from '../definition';
import { GAPES_ABOVE, PUCKERS_BELOW } from './flat';

/**
 * Whether the foundation is fit for the edge it becomes (handbook 2.1): an opening must not pucker, a closed bottom must
 * not gape.
 */
export function foundationAdvice(fabric: WorkedFabric, { kind, count, edge }: Foundation): Advice[] {
  if (kind === 'ring') return [];
  const { chain, stitchWidth, hookMm } = fabric;
  const ratio = chain.value / stitchWidth.value;
  const measures = `${count} chains measure ${formatLength(count * chain.value)}, the stitches on them ${formatLength(count * stitchWidth.value)}`;
  const other = (by: number) => formatNumber(Math.max(0.5, hookMm + by), 2);
  if (edge === 'opening' && ratio < PUCKERS_BELOW)
    return [
      {
        id: 'foundation-puckers',
        severity: 'warning',
        text: `The chain becomes the opening, and yours is tight: ${measures}. It would pucker.`,
        repair: `Work the chain looser, or with ${withArticle(`${other(0.5)} mm hook`)} for the chain only.`,
        at: 'fabric.gauge.chains',
        change: { 'fabric.chainHookMm': hookMm + 0.5 },
      },
    ];
  if (edge === 'closed' && ratio > GAPES_ABOVE && chain.kind === 'measured')
    return [
      {
        id: 'foundation-gapes',
        severity: 'advice',
        text: `The chain becomes the closed bottom, and yours is loose: ${measures}. The bottom would gape.`,
        repair: `Work the chain tighter, or with ${withArticle(`${other(-0.5)} mm hook`)} for the chain only.`,
        at: 'fabric.gauge.chains',
        change: { 'fabric.chainHookMm': Math.max(0.5, hookMm - 0.5) },
      },
    ];
  return [];
}
