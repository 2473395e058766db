export * from './borderStrips';
export * from './clothLabel';
export * from './clothLines';
export * from './cutStretches';
export * from './dimensionLines';
export * from './layout';
export * from './markPaths';
export * from './tints';
export { roleOf } from '../draw';
