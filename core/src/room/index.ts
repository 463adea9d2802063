export * from './geometry';
export * from './obstacles';
export * from './occluder';
export * from './rectangle';
export * from './span';
export * from './vector';
