export * from './prior';
export * from './rates';
