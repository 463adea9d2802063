export * from './condition';
export * from './fit';
export * from './trapezoid';
export * from './year';
export * from './light-band';
export * from './reserve';
