export * from './day';
export * from './position';
export * from './year';
