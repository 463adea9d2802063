export * from './bundle';
export * from './own-knowledge';
