/** A small home for tests: one room with a south window, a shelf with a lamp, a sill, two plants, a cabinet. */
import type { Taxon } from '../plant';
import type { HomeFacts } from './facts';
import type { Knowledge } from './knowledge';

const ALL_YEAR = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

export const smallHome: HomeFacts = {
  home: { id: 'h', name: 'Home', latitude: 52, longitude: 0, elevationM: 20, timeZone: 'Etc/GMT', climateId: 'plain', restSchool: null, lightAim: 'whole', snowMonths: [] },
  rooms: [
    {
      id: 'r', homeId: 'h', name: 'Room', widthM: 4, depthM: 4, heightM: 2.5, wallABearing: 180, floorReflectance: 0.3, wallReflectance: 0.6, ceilingReflectance: 0.8,
      airMovement: 'gentle', insideRoomId: null, insideXM: 0, insideYM: 0, insideZM: 0, shellTransmittance: 1, eveningLux: 0, eveningFromMinute: 1080, eveningToMinute: 1320,
    },
    {
      id: 'box', homeId: 'h', name: 'Box', widthM: 0.6, depthM: 0.4, heightM: 0.6, wallABearing: 180, floorReflectance: 0.3, wallReflectance: 0.6, ceilingReflectance: 0.8,
      airMovement: 'still', insideRoomId: 'r', insideXM: 1.7, insideYM: 0.5, insideZM: 0.7, shellTransmittance: 0.8, eveningLux: 0, eveningFromMinute: 1080, eveningToMinute: 1320,
    },
  ],
  windows: [
    {
      id: 'w', roomId: 'r', name: 'Window', side: 'a', offsetM: 1, insetM: 0, sillM: 0.8, widthM: 2, heightM: 1.4, slopeDeg: 90, glazingId: 'clear', frameShare: 0.1,
      dirtShare: 0.05, curtainId: 'none', curtainMonths: ALL_YEAR, curtainFromMinute: 0, curtainToMinute: 1440, outsideKind: 'open', outsideDeg: 0, outsideReflectance: 0,
      groundReflectance: 0.2, revealM: 0, overhangM: 0, overhangAboveM: 0,
      secondCurtainId: 'none', secondCurtainMonths: ALL_YEAR, secondCurtainFromMinute: 0, secondCurtainToMinute: 1440,
    },
  ],
  stands: [
    { id: 'sill', roomId: 'r', name: 'Sill', kind: 'sill', xM: 1, yM: 0, widthM: 2, depthM: 0.3 },
    { id: 'shelf', roomId: 'r', name: 'Shelf', kind: 'shelf', xM: 0, yM: 3, widthM: 1, depthM: 0.4 },
    { id: 'in-box', roomId: 'box', name: 'Box floor', kind: 'shelf', xM: 0, yM: 0, widthM: 0.6, depthM: 0.4 },
  ],
  tiers: [
    { id: 'sill-1', standId: 'sill', heightM: 0.8, board: 'solid' },
    { id: 'shelf-1', standId: 'shelf', heightM: 0.6, board: 'solid' },
    { id: 'shelf-2', standId: 'shelf', heightM: 1.2, board: 'solid' },
    { id: 'box-1', standId: 'in-box', heightM: 0, board: 'open' },
  ],
  spots: [
    { id: 'bright', tierId: 'sill-1', name: 'Bright', alongM: 1, acrossM: 0.15, sizeM: 0.3, freeHeightM: 1, loadKg: 5, reach: 'easy' },
    { id: 'dim', tierId: 'shelf-1', name: 'Dim', alongM: 0.5, acrossM: 0.2, sizeM: 0.3, freeHeightM: 0.5, loadKg: 5, reach: 'easy' },
    { id: 'top', tierId: 'shelf-2', name: 'Top', alongM: 0.5, acrossM: 0.2, sizeM: 0.15, freeHeightM: 0.2, loadKg: 5, reach: 'step' },
    { id: 'boxed', tierId: 'box-1', name: 'Boxed', alongM: 0.3, acrossM: 0.2, sizeM: 0.3, freeHeightM: 0.5, loadKg: 5, reach: 'easy' },
  ],
  circuits: [{ id: 'c', homeId: 'h', name: 'Timer', onMinute: 480, offMinute: 960, months: ALL_YEAR }],
  lamps: [
    {
      id: 'l', circuitId: 'c', tierId: 'shelf-1', name: 'Lamp', form: 'bar', ppf: 40, powerW: 18, spectrum: 'white-neutral', beamDeg: 120, lengthM: 0.8, breadthM: 0.03,
      alongM: 0.5, acrossM: 0.2, aboveM: 0.5, dimming: 1, ratedBy: 'ppf', lumens: null, tiltDeg: 0, tiltToward: 'a', burntHours: 0, lifeHours: null, photometryId: null,
    },
  ],
  plants: [
    { id: 'p', homeId: 'h', taxonId: 'shade', name: 'Shade plant', parents: [], traits: [], stage: 'adult', growthState: 'by-season', stateSeenOn: null, restSchool: null, potCm: 12, heightCm: 25, foliage: 'medium', spotId: 'dim', arrivedOn: null, note: '' },
    { id: 'q', homeId: 'h', taxonId: 'sun', name: 'Sun plant', parents: [], traits: [], stage: 'adult', growthState: 'by-season', stateSeenOn: null, restSchool: null, potCm: 12, heightCm: 25, foliage: 'medium', spotId: 'top', arrivedOn: null, note: '' },
  ],
  ownTaxa: [],
  corrections: [],
  obstructions: [],
  blocks: [],
  photometries: [],
  weathers: [],
  readings: [],
  air: [{ id: 'a', roomId: 'r', month: 1, dayC: 21, nightC: 18, dayRh: 55, nightRh: 60 }],
};

/** A day-neutral plant without rest, thriving at 3 to 8 mol a day. */
export const shade: Taxon = {
  id: 'shade', name: 'Umbra facilis', common: ['shade plant'], synonyms: [], cultivars: [], parents: [], group: 'test', key: 'Grows in shade.',
  light: { survives: 1, thrivesFrom: 3, thrivesTo: 8, scorches: 12, peakPpfd: 300, sunHoursFresh: 0, sunHoursUsed: 1, sure: 'practice' },
  day: { kind: 'neutral', criticalNightH: null, inductionWeeks: null, inductionMonths: [], minH: 8, maxH: 16, sure: 'practice' },
  warmth: { lowest: 10, nightFrom: 15, nightTo: 21, dayFrom: 18, dayTo: 27, highest: 34, nightDrop: 3, sure: 'practice' },
  moisture: { survives: 30, thrivesFrom: 45, thrivesTo: 80, tooMoistStill: 90, vpdFrom: 0.4, vpdTo: 1.2, sure: 'practice' },
  rest: { trigger: 'none', months: [], lightShare: 1, dayC: null, nightC: null, water: 'usual', feed: 'usual', school: 'taper', sure: 'practice' },
  care: { waterAtShare: 0.3, feedPpmN: 60, feedEvery: 3, substrate: 'airy', growth: 'medium', matureHeightCm: 30, matureWidthCm: 30, habit: 'clump', air: 'still', sure: 'practice' },
  hazard: { people: 'none-known', cats: 'none-known', dogs: 'none-known', birds: 'none-known', smallMammals: 'none-known', sapOnSkin: 'none-known', sapInEyes: 'none-known', spines: 'none' },
};
const sun: Taxon = { ...shade, id: 'sun', name: 'Sol facilis', light: { ...shade.light, survives: 4, thrivesFrom: 7, thrivesTo: 30, scorches: 45, peakPpfd: 1800, sunHoursUsed: 9 } };

const twelve = (value: number) => Array<number>(12).fill(value);

export const smallKnowledge: Knowledge = {
  taxon: (id) => ({ shade, sun })[id] ?? null,
  glazing: (id) => (id === 'clear' ? { panes: 2, normalTransmittance: 0.79 } : null),
  curtain: (id) => (id === 'blackout' ? { transmittance: 0, scatter: 1 } : id === 'sheer' ? { transmittance: 0.5, scatter: 0.9 } : null),
  climate: (id) => (id === 'plain' ? { id, name: 'Plain', clearness: twelve(0.45), dayC: twelve(12), nightC: twelve(6), rh: twelve(75), turbidity: 3.2 } : null),
};
