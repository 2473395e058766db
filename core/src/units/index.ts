export * from './fields';
export * from './length';
export * from './text';
