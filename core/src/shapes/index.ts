import { clusterPanels } from './clusters/clusterPanels';
import type { ShapeDefinition } from './definition';
import { discWall } from './discWall';
import { layered } from './layered';
import { packet } from './packet';
import { practice } from './practice';
import { ringTube } from './ringTube';
import { roundChain } from './roundChain';
import { saddle } from './saddle/saddle';
import { stripAcross } from './stripAcross';
import { stripAlong } from './stripAlong';
import { twoPanels } from './twoPanels';

export * from './definition';
export * from '../drawing';

/** Every shape. A new one is a file of its own and a line here. */
export const SHAPES: readonly ShapeDefinition[] = [
  stripAcross,
  stripAlong,
  ringTube,
  roundChain,
  discWall,
  twoPanels,
  clusterPanels,
  saddle,
  packet,
  layered,
];

/** What is never offered for a thing, and can be planned all the same. */
export const UNOFFERED: readonly ShapeDefinition[] = [practice];

/** The shape of an id; undefined where there is none. */
export function shapeDefinition(id: string): ShapeDefinition | undefined {
  return [...SHAPES, ...UNOFFERED].find((shape) => shape.id === id);
}
