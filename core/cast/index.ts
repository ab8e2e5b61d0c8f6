// case is left out: it brings the engine, and only workers and tests want that.
export * from './plan';
export * from './presentation';
export * from './footing';
export * from './stand';
export * from './castable';
export * from './doubt';
export * from './means';
export * from './mend';
export * from './opening';
export * from './wind';
