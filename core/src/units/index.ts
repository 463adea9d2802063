export * from './angle';
export * from './calendar';
export * from './clock';
export * from './distance';
export * from './light';
export * from './temperature';
