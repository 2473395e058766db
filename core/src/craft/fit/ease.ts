import { chosen, derive, PlanProblem, prior, type Figure } from '../../base/figure';
import type { WorkedThing } from '../things';
import { formatNumber, formatSigned, leastToken, mmToken, typedToken } from '../../base/units';
import { fitDefinition, type FitDefinition, type FitName } from './fits';

/** A fit as a plan writes it. A typed ease, in percent or in mm, takes the place of the fit's own. */
export interface FitSpec {
  name: FitName;
  easePercent?: number;
  easeMm?: number;
  coverMm?: number;
}

export interface WorkedFit {
  definition: FitDefinition;
  /** Wanted girth ease, mm. */
  girthEase: Figure<'mm'>;
  /** Wanted cover ease, mm. */
  coverEase: Figure<'mm'>;
}

/**
 * The ease a fit asks for (prior unless typed; handbook 3). Grips never go past half the fabric's stretch; slides and
 * roomy have a least in mm.
 *
 * @param stretch of the fabric, the way it runs around the thing, as a fraction
 * @throws PlanProblem when a typed ease in mm takes off more than half the thing's girth
 */
export function workFit(spec: FitSpec, thing: WorkedThing, stretch: number): WorkedFit {
  const definition = fitDefinition(spec.name);
  if (thing.profile === 'given') return ownSize(spec, definition);
  return {
    definition,
    girthEase: girthEase(spec, definition, thing, stretch),
    coverEase:
      spec.coverMm !== undefined
        ? chosen(spec.coverMm, 'mm', 'typed')
        : prior(definition.coverMm, 'mm', 0, `${definition.name}: ${definition.meantFor}`),
  };
}

/** A bag's wanted size is its own: nothing is added unless the maker types it. */
function ownSize(spec: FitSpec, definition: FitDefinition): WorkedFit {
  return {
    // no thing must go in and stay: it may come out as much smaller as it stretches, and be as large as it likes
    definition: { ...definition, useOfStretch: 1, slack: Infinity },
    girthEase: chosen(spec.easeMm ?? 0, 'mm', spec.easeMm === undefined ? 'the bag’s own size' : 'typed'),
    coverEase: chosen(spec.coverMm ?? 0, 'mm', spec.coverMm === undefined ? 'the bag’s own size' : 'typed'),
  };
}

function girthEase(spec: FitSpec, fit: FitDefinition, thing: WorkedThing, stretch: number): Figure<'mm'> {
  if (spec.easeMm !== undefined) {
    refuseShrinking(spec.easeMm, thing.girth.value);
    return chosen(spec.easeMm, 'mm', 'typed');
  }
  if (spec.easePercent !== undefined) {
    const e = chosen(spec.easePercent / 100, '1', `${formatSigned(spec.easePercent)} % typed`);
    return derive('mm', 'ease = e × g', { e, g: exact(thing.girth) }, (v) => v.e * v.g);
  }
  const floor = -stretch / 2;
  const fraction = Math.max(fit.girth.fraction, floor);
  const e = prior(fraction, '1', 0, `${fit.name}: ${formatSigned(100 * fraction)} %`);
  const least = fit.girth.leastMm;
  const formula = Number.isFinite(least) ? `ease = e × g, at least ${formatNumber(least)} mm` : 'ease = e × g';
  return derive('mm', formula, { e, g: exact(thing.girth) }, (v) => Math.max(v.e * v.g, least));
}

function refuseShrinking(easeMm: number, girth: number): void {
  const limit = -girth / 2;
  if (easeMm >= limit) return;
  throw new PlanProblem([
    {
      path: 'fit.easeMm',
      message: `Ease of ${typedToken(easeMm)} would make the cover less than half as big around as the item (${mmToken(girth)}). The smallest ease here is ${leastToken(limit)}.`,
    },
  ]);
}

/** The ease follows the girth as entered; the girth's own spread counts once, where the tube is sized. */
function exact(figure: Figure<'mm'>): Figure<'mm'> {
  return { ...figure, sd: 0 };
}
