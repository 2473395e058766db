export * from './conditions';
export * from './cumulative';
export * from './flatRounds';
export * from './nearest';
export * from './oval';
export * from './pickUp';
export * from './spread';
