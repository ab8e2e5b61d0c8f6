export * from './bands';
export * from './colours';
export * from './optics';
export * from './order';
export * from './seen';
export * from './place';
export * from './sun';
