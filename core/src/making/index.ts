export * from './copies';
export * from './events';
export * from './finish';
export * from './fold';
export * from './order';
export * from './ridges';
export * from './tape';
export * from './ticks';
