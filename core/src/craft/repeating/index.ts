export * from './effect';
export * from './grid';
export * from './landed';
export * from './runs';
