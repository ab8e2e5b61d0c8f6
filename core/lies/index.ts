export * from './types';
export * from './suitability';
export * from './light';
export * from './band';
export * from './find';
export * from './sure';
export * from './compare';
export type { Survey } from './survey';
export * from './words';
