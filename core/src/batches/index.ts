export * from './batch';
export * from './order';
export * from './totals';
