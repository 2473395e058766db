export * from './order';
export * from './rhythm';
export * from './schools';
export * from './steps';
export * from './terms';
export * from './wording';
