export * from './hydrograph';
export * from './random';
