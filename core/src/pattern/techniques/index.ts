export * from './cloth';
export * from './definition';
export * from './frames';
export * from './links';
export * from './moves';
export * from './techniques';
export * from './told';
export * from './types';
