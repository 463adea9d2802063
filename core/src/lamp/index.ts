export * from './placed';
export * from './ppfd';
