export * from './chart';
export type { Sign } from './signs';
