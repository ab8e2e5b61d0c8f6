export type * from './did';
export * from './events';
export * from './fold';
export * from './visit';
