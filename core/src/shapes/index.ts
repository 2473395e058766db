import { clusterPanels } from './clusterPanels/shape';
import type { ShapeDefinition } from './definition';
import { discWall } from './discWall/shape';
import { layered } from './layered/shape';
import { packet } from './packet/shape';
import { practice } from './practice/shape';
import { ringTube } from './ringTube/shape';
import { roundChain } from './roundChain/shape';
import { saddle } from './saddle/shape';
import { stripAcross } from './stripAcross/shape';
import { stripAlong } from './stripAlong/shape';
import { twoPanels } from './twoPanels/shape';

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
