export * from './angle';
export * from './calendar';
export * from './light';
export * from './temperature';
