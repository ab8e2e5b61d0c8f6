// trial is left out: it brings the engine, and only workers and tests want that.
export * from './levers';
export * from './types';
export * from './verdict';
