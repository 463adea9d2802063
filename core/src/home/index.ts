export * from './answers';
export * from './facts';
export * from './knowledge';
export * from './known';
export * from './problem';
export * from './problems';
export * from './questions';
