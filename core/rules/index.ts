export * from './rules';
