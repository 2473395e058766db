import { beltLoop } from './beltLoop';
import { buttonhole } from './buttonhole';
import { buttonLoop } from './buttonLoop';
import type { FittingDefinition } from './definition';
import { dividers } from './dividers';
import { drawstring } from './drawstring';
import { edging } from './edging';
import { flap } from './flap';
import { handles } from './handles';
import { lining } from './lining';
import { clipLoop, hangingLoop } from './smallLoops';
import { magnet, snap } from './snapOrMagnet';
import { stackedPockets } from './stackedPockets';
import { strap } from './strap';
import { tabs } from './tabs';
import { ties } from './ties';
import { tongueHandle } from './tongueHandle';
import { bobble, tag, tassel } from './trimmings';
import { zip } from './zip';

export * from './collisions';
export * from './definition';

/** Every fitting. A new one is a file of its own and a line here. */
export const FITTINGS: readonly FittingDefinition[] = [
  flap,
  buttonLoop,
  buttonhole,
  snap,
  magnet,
  zip,
  dividers,
  stackedPockets,
  strap,
  handles,
  tongueHandle,
  drawstring,
  bobble,
  ties,
  tabs,
  beltLoop,
  hangingLoop,
  clipLoop,
  lining,
  edging,
  tassel,
  tag,
];

export function fittingDefinition(id: string): FittingDefinition | undefined {
  return FITTINGS.find((fitting) => fitting.id === id);
}
