export { CARD } from './card';
export { edgePoints, snapAlong, snapOutline, TAP_SD, type Grey, type Mark } from './edges';
export { averageOf, lengthBetween, outlineSizes, type OutlineTold, type Told } from './lengths';
export type { Point } from './points';
export { seeCard, type CardFault, type Seen } from './view';
