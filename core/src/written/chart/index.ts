export * from './chart';
export * from './svg';
export type { Sign } from './signs';
