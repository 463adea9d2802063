export { planHome, type PlanAsked } from './plan-home';
export { planSettingsOf } from './settings';
export * from './proposal';
export { REFUSALS, type SpotRefusal } from './refusals';
