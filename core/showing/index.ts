export * from './flies';
export * from './ground';
export * from './rise';
export * from './showing';
