export * from './bundle';
export * from './changes';
export * from './endpoints';
export * from './facts';
export * from './fields';
