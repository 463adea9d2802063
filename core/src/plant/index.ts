export * from './mix';
export * from './season';
export * from './target';
export * from './traits';
