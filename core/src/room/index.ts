export * from './geometry';
export * from './rectangle';
export * from './vector';
