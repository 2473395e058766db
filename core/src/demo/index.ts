export * from './ternPoint';
