export * from './figures';
export * from './taxon';
