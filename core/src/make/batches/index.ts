export * from './batch';
export * from './days';
export * from './order';
export * from './totals';
