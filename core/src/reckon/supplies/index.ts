export * from './colours';
export * from './notions';
export * from './tails';
export * from './time';
export * from './yarn';
