export * from './air-alarms';
export * from './condition';
export * from './factor-fit';
export * from './flowers';
export { REFERENCE_C, RESPIRATION_Q10, balance, burnDose, meanC, burnsFrom, upkeep, type LitMonth } from './light-fit';
export * from './month-fit';
export * from './reserve';
export * from './verdict';
export * from './year';
