export * from './doubt';
export * from './fields';
export * from './length';
export * from './text';
export * from './tape';
export * from './typed';
export * from './known';
export * from './tokens';
