// cast, trial, changes, moves and survey are left out: they bring the engine, and only workers and tests want that.
export * from './compare';
export * from './movers';
export * from './order';
export * from './plan';
export * from './presentation';
export * from './rank';
export * from './stand';
export type { Change, Changes, ChangesRequest } from './changes';
export type { Survey } from './survey';
export * from './verdict';
export * from './words';
