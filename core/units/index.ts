export * from './capital';
export * from './units';
export * from './constants';
export * from './several';
export * from './time';
