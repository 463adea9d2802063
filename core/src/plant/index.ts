export * from './mix';
export * from './nature';
export * from './passing';
export * from './season';
export * from './shared-band';
export * from './stage';
export * from './target';
export * from './traits';
