export * from './coefficients';
export * from './enclosure';
export * from './glass';
export * from './instant';
export * from './pane';
export * from './photoperiod';
export * from './room';
export * from './year';
