export * from './closedViews';
export * from './draw';
export * from './layeredViews';
export * from './packetViews';
export * from './panelsViews';
export * from './parts';
export * from './sectionWord';
export * from './stripViews';
