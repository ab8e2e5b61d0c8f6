export * from './sun';
