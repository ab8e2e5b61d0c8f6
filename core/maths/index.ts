// statistics is left out: it brings libraries that weigh more than the first screen should.
export * from './angles';
export * from './bounds';
export * from './groups';
export * from './interpolate';
export * from './random';
export * from './spread';
