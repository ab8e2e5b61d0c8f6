export * from './feed';
export * from './freshets';
export * from './points';
export type * from './then';
export * from './weather';
