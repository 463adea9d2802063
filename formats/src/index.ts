export * from './bundle';
export * from './own-knowledge';
export * from './epw';
export * from './eulumdat';
export * from './lm63';
export * from './photometry-file';
export * from './reading';
