export * from './mend';
export * from './rank';
