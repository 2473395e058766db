export { begunFaults, onBegun } from './onBegun';
export { begunCourses, runsOf } from './runs';
export type { BegunRun, BegunSpec } from '../types';
