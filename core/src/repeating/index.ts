export * from './effect';
export * from './grid';
export * from './runs';
