export * from './clearness';
export * from './irradiance';
export * from './nodes';
export * from './radiance';
export * from './ground-light';
export * from './year';
