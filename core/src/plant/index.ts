export * from './mix';
export * from './season';
export * from './stage';
export * from './target';
export * from './traits';
