export * from './mend';
export * from './learnt';
export * from './weighed';
