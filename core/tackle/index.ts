export * from './families';
export * from './flies';
export * from './kit';
export * from './rig';
export * from './line';
export * from './standards';
