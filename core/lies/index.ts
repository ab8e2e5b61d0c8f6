export * from './curves';
export * from './lies';
