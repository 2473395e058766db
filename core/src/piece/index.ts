export * from './border';
export * from './edge';
export * from './onChains';
export * from './piece';
export * from './tails';
export * from './walk';
export * from './work';
