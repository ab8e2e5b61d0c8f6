export * from './cells';
export * from './channel';
export * from './run';
export * from './picture';
export * from './guided';
export * from './readings';
export * from './wading';
export * from './level';
