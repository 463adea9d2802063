export * from './catalogue';
export * from './search';
