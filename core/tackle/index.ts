export * from './flies';
export * from './kit';
export * from './line';
export * from './standards';
