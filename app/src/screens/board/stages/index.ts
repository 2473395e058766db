import type { Stage } from './definition';
import { coloursStage } from './ColoursStage';
import { fabricStage } from './FabricStage';
import { fitStage } from './FitStage';
import { fittingsStage } from './FittingsStage';
import { shapeStage } from './ShapeStage';
import { sumsStage } from './SumsStage';
import { thingStage } from './ThingStage';

export type { Say, Stage, StageProps } from './definition';
export { stageOwning } from './owner';

/** The board's stages in the order makers think in; all are open to change at any time. */
export const STAGES: readonly Stage[] = [
  thingStage,
  fabricStage,
  shapeStage,
  fitStage,
  fittingsStage,
  coloursStage,
  sumsStage,
];
