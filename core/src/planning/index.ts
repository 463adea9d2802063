export type { PlanAsked } from './desk';
export { planHome } from './plan-home';
export { planSettingsOf } from './settings';
export * from './proposal';
export type { NightBreaker } from './night-breakers';
export { heatWave, movingIn, without, type RoomMonth } from './what-if';
export {
  acceptChanges,
  homeAfter,
  isHardened,
  openSteps,
  partsOf,
  stepChanges,
  workOf,
  type Chosen,
  type PlannedStep,
  type Work,
} from './steps';
export { settingId, type OtherSetting } from './other-settings';
export { REFUSALS, type SpotRefusal } from './refusals';
