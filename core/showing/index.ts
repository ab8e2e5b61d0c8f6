export * from './flies';
export * from './ground';
export * from './passing';
export * from './showing';
