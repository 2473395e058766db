import type { LengthUnit } from '../base/units';

/** How the maker works and reads. */
export interface Schools {
  terms: 'US' | 'UK';
  /** Rounds joined by a slip stitch and chained up, or worked on in a spiral. */
  rounds: 'joined' | 'spiral';
  turningChainCounts: boolean;
  hand: 'right' | 'left';
  units: LengthUnit;
  /** How a ring begins: yarn wrapped round the fingers, or two chains. */
  ring: 'wrapped' | 'two-chains';
  /** How rows begin: on a chain, or on foundation stitches that are chain and first row in one. */
  foundation: 'chain' | 'stitches';
}

export const DEFAULT_SCHOOLS: Schools = {
  terms: 'US',
  rounds: 'spiral',
  turningChainCounts: false,
  hand: 'right',
  units: 'mm',
  ring: 'wrapped',
  foundation: 'chain',
};
