export * from './mend';
export * from './learnt';
export * from './weighed';
export * from './learntRates';
export * from './honesty';
export { finishDoubts, type FinishDoubts } from './finishDoubts';
export * from './again';
export { pinned } from './pinned';
