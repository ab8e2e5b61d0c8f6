export * from './curves';
export * from './lies';
export * from './light';
export type { LiePart } from './score';
