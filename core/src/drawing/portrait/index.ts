export * from './cloth';
export * from './sides';
export * from './ink';
export * from './paint';
export * from './portrait';
export * from './strands';
export * from './tile';
export * from './tones';
