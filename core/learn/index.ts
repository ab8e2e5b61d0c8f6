export * from './prior';
export * from './rate';
