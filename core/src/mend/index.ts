export * from './mend';
export * from './learnt';
export * from './weighed';
export * from './learntRates';
export * from './honesty';
export * from './again';
