export { NUMERICS } from './cut';
export * from './ensemble';
export { timeToDangle } from './estimates';
export { flume, interpolate, profileFactor, sample, sampleWater } from './field';
export { runSwing } from './swing';
export * from './types';
