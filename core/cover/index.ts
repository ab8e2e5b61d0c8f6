export * from './next';
