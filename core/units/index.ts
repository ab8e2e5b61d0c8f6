export * from './capital';
export * from './units';
export * from './constants';
