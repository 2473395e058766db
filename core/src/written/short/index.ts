export * from './read';
export * from './write';
