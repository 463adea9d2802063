export * from './mend';
export * from './rank';
export * from './wish';
