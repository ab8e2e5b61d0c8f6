export * from './begin';
export * from './next';
export * from './order';
export * from './progress';
export * from './words';
