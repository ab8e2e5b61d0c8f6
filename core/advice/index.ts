export * from './cast';
export * from './words';
