export * from './forecast';
export * from './hydrograph';
export * from './kinds';
export * from './record';
export * from './verdict';
