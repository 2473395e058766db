export * from './colours';
export * from './notions';
export * from './time';
export * from './yarn';
