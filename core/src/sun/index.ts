export * from './day';
export * from './position';
