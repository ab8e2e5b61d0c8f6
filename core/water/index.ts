export * from './channel';
export * from './run';
