// answer, search and what they need are left out: they bring the engine, and only workers, commands and tests want that.
export type { Answer } from './answer';
export * from './question';
export * from './words';
export type { Flip } from './flips';
export { METHOD_NAMES, type Method } from './methods';
export type { OtherSchool } from './otherSchools';
export * from './schools';
export type { FirstThought } from './search';
export type { Served } from './servedLies';
export * from './goals';
export type { AnswerRequest } from './situation';
export type { Stand } from './casts';
export type { RunChange } from './changes';
export type { Turn } from './rotation';
