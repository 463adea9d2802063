export * from './target';
export * from './taxon';
