export { begunFaults, onBegun } from './onBegun';
export { begunCourses, runsOf, type BegunRun, type BegunSpec } from './runs';
