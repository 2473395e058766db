import type { Figure } from '../../base/figure';
import type { Sample } from './types';

/** What a piece must do to fit, besides letting the thing in, keeping it and covering it. */
export type WantId = 'base' | 'strap';

export interface Want {
  id: WantId;
  met: (sample: Sample) => boolean;
  /** What is uncertain in it besides the six letters, by the names it uses. */
  also: Readonly<Record<string, Figure>>;
}

/** Farther apart than this, round against round, a base no longer suits its wall (prior, handbook 4.1). */
const BASE_WITHIN = 0.15;

/** Sizes round the edge of a base, mm. */
interface Around {
  /** What its rounds leave it, lying flat. */
  flat: (sample: Sample) => number;
  /** What its own stitches make. */
  stitches: (sample: Sample) => number;
  /** What the wall makes that stands on it. */
  wall: (sample: Sample) => number;
}

/** A base suits its wall where its own stitches let it lie flat, and it is then as large round as the wall (handbook 3 and 4.1). */
export function baseSuits({ flat, stitches, wall }: Around, also: Want['also'] = {}): Want {
  return {
    id: 'base',
    also,
    met: (sample) => {
      const round = flat(sample);
      return [stitches, wall].every((of) => Math.abs(of(sample) / round - 1) <= BASE_WITHIN);
    },
  };
}

/** A strap may hang higher than was measured by a twentieth of its loop, 30 mm at the least (prior, ours). */
const HANGS_HIGHER = { share: 0.05, leastMm: 30 } as const;

/**
 * A strap reaches where, grown under its load, it goes as far round as was measured, or nearly (handbook 3 and 6).
 *
 * @param made what of it lies between its anchors, unloaded, mm: it is made by the tape
 * @param span what the piece itself takes of the loop, mm
 * @param loop the body loop, and `grows` its growth as a fraction, each with its spread
 */
export function strapReaches(made: number, span: number, loop: Figure<'mm'>, grows: Figure<'1'>): Want {
  return {
    id: 'strap',
    also: { loop, grows },
    met: (sample) => {
      const least = sample.loop! - Math.max(HANGS_HIGHER.leastMm, HANGS_HIGHER.share * sample.loop!);
      return made * (1 + sample.grows!) + span >= least;
    },
  };
}
