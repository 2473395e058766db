export * from './ternPoint';
export * from './ternPointEvents';
