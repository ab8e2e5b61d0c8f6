export * from './flies';
export * from './ground';
export * from './showing';
