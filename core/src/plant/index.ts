export * from './figures';
export * from './mix';
export * from './season';
export * from './target';
export * from './taxon';
export * from './traits';
