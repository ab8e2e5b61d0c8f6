export * from './capital';
export * from './own';
export * from './units';
export * from './constants';
export * from './several';
export * from './time';
