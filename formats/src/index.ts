export * from './bundle';
