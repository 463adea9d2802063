/** Made-up taxa that differ from the shade plant in one thing each. */
import { shade } from '../home/small-home.fixture';
import type { Taxon } from '../taxon';

/** Rests dry and cool from November to February. */
export const rester: Taxon = {
  ...shade,
  id: 'rester',
  name: 'Dormio hiemalis',
  rest: {
    trigger: 'cool',
    months: [11, 12, 1, 2],
    lightShare: 0.6,
    dayC: 14,
    nightC: 8,
    water: 'none',
    feed: 'none',
    school: 'hard',
    isObligate: false,
    needsWinter: false,
    sure: 'practice',
  },
};
export const bright: Taxon = {
  ...shade,
  id: 'bright',
  name: 'Lux magna',
  light: { ...shade.light, survives: 4, keepsForm: 6, thrivesFrom: 9, thrivesTo: 24, scorches: 36, peakPpfd: 1200 },
  hazard: { ...shade.hazard, cats: 'toxic' },
};
export const shortDay: Taxon = {
  ...shade,
  id: 'short',
  name: 'Nox longa',
  day: { ...shade.day, kind: 'short', criticalNightH: 13, inductionWeeks: 7, inductionMonths: [9, 10, 11] },
};
