export { NUMERICS } from './cut';
export * from './ensemble';
export { flume } from './flume';
export { flyAt, HZ, lengthS, rowOf, SERIES_COLUMNS } from './series';
export { runSwing } from './swing';
export * from './types';
