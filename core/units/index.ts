export * from './units';
export * from './constants';
