// changes and trial are left out: they bring the engine, and only workers and tests want that.
export type { Change, Changes } from './changes';
export * from './levers';
export * from './rank';
export * from './types';
export * from './verdict';
export * from './words';
