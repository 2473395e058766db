export * from './allowances';
export * from './chance';
export * from './ease';
export * from './fits';
export * from './helps';
export * from './random';
export * from './verdict';
export * from './wants';
