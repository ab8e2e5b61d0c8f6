export * from './cast';
export * from './words';
export * from './survey';
export * from './stand';
