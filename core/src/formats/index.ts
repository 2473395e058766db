export * from './documents';
export * from './form';
export * from './plan';
export * from './toJoi';
export * from './toJsonSchema';
export * from './published';
export * from './ways';
