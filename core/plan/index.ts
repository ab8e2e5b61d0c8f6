export * from './dam';
export * from './day';
export * from './minutes';
export * from './packing';
export * from './rodsAhead';
export * from './spans';
export * from './waters';
export * from './wind';
