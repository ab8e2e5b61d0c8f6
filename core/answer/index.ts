// answer, search and what they need are left out: they bring the engine, and only workers, commands and tests want that.
export type { Answer, ServedAsTold } from './answer';
export * from './question';
export * from './words';
export type { Flip } from './flips';
export { METHOD_NAMES, type Method } from './methods';
export type { OtherSchool } from './otherSchools';
export * from './schools';
export type { FirstThought } from './answer';
export type { Served, Stand } from './stands';
export * from './goals';
export type { AnswerRequest } from './situation';
export type { RunChange } from './table';
export type { Fished } from './fished';
export type { Section } from './sections';
export type { Turn } from './rotation';
