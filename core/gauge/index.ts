export * from './hydrograph';
