export * from './cuttingSheet';
export * from './papers';
export * from './tiles';
export * from './trueSize';
export * from './viewSvg';
