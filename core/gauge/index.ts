export * from './feed';
export * from './freshets';
export * from './points';
export * from './then';
export * from './weather';
