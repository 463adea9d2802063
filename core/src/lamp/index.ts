export * from './burning';
export * from './energy';
export * from './follow-sun';
export * from './output';
export * from './photometry';
export * from './placed';
export * from './plug';
export * from './ppfd';
