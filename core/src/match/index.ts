export * from './acclimate';
export * from './height-free';
export * from './lamp-needed';
export * from './mend';
export * from './need';
export * from './rank';
export * from './remedies';
export * from './wish';
