export * from './clearness';
export * from './irradiance';
export * from './nodes';
export * from './radiance';
export * from './twilight';
export * from './year';
