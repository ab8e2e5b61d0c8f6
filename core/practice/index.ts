export * from './variables';
