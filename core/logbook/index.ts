export * from './events';
export * from './fold';
