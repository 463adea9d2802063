export * from './geometry';
export * from './obstacles';
export * from './occluder';
export * from './rectangle';
export * from './sill';
export * from './span';
export * from './vector';
