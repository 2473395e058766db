export * from './advice';
export * from './figure';
export * from './normal';
export * from './problem';
export * from './seeded';
