export * from './rates';
