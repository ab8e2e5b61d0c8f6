export type * from './asSimulated';
export * from './events';
export * from './fold';
export * from './standing';
export * from './visit';
export * from './visits';
export * from './shown';
