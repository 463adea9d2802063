export * from './moist';
export * from './month';
