export * from './clears';
export * from './forecast';
export * from './hydrograph';
export * from './kinds';
export * from './rain';
export * from './record';
export * from './forecastRecord';
export * from './verdict';
