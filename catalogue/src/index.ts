export * from './catalogue';
export * from './groups';
export * from './search';
export * from './visible-traits';
