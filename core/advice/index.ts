// cast.ts and survey.ts are left out: they bring the engine, and only workers and tests want that.
export * from './plan';
export * from './presentation';
export * from './stand';
export type { Survey } from './survey';
export * from './verdict';
export * from './words';
