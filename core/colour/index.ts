export * from './forecast';
export * from './hydrograph';
export * from './kinds';
