export * from './border';
export * from './edge';
export * from './piece';
export * from './referee';
export * from './walk';
export * from './work';
