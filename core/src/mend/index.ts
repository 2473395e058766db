export * from './mend';
export * from './learnt';
