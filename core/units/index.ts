export * from './own';
export * from './units';
export * from './constants';
export * from './time';
