/** The demo's second home, for the other hemisphere: the back room of a small made-up shop at 34.6 S. */
import type { HomeFacts } from '@dulvan/core';
import { air, circuit, lamp, plant, room, spot, stand, tier, window, ALL_YEAR } from './build';

const home = {
  id: 'back-room',
  name: 'Shop back room',
  latitude: -34.6,
  longitude: -58.5,
  elevationM: 25,
  timeZone: 'America/Argentina/Buenos_Aires',
  climateId: 'southern-pampas',
  restSchool: null,
  lightAim: 'whole' as const,
  snowMonths: [],
};
const homeId = home.id;

export const backRoom: HomeFacts = {
  home,
  rooms: [room({ id: 'back', homeId, name: 'Back room', widthM: 4, depthM: 3.2, heightM: 2.6, wallABearing: 0 })],
  windows: [
    window({ id: 'north', roomId: 'back', name: 'North window', side: 'a', offsetM: 1.3, sillM: 0.7, widthM: 2, heightM: 1.6, glazingId: 'single' }),
  ],
  stands: [
    stand({ id: 'packing', roomId: 'back', name: 'Packing table', kind: 'table', xM: 1.2, yM: 0.3, widthM: 1.6, depthM: 0.7 }),
    stand({ id: 'stock', roomId: 'back', name: 'Stock shelf', kind: 'shelf', xM: 3.5, yM: 1.4, widthM: 0.4, depthM: 1.2 }),
  ],
  tiers: [tier('packing-1', 'packing', 0.85), tier('stock-1', 'stock', 0.8), tier('stock-2', 'stock', 1.4)],
  spots: [
    spot({ id: 'packing-a', tierId: 'packing-1', name: 'Table, left', alongM: 0.4, acrossM: 0.3, freeHeightM: 1.5 }),
    spot({ id: 'packing-b', tierId: 'packing-1', name: 'Table, right', alongM: 1.2, acrossM: 0.3, freeHeightM: 1.5 }),
    spot({ id: 'stock-a', tierId: 'stock-1', name: 'Shelf, under the lamp', alongM: 0.2, acrossM: 0.6 }),
    spot({ id: 'stock-b', tierId: 'stock-2', name: 'Shelf, top', alongM: 0.2, acrossM: 0.6, freeHeightM: 0.9, reach: 'step' }),
  ],
  circuits: [circuit({ id: 'stock-timer', homeId, name: 'Shelf timer', onMinute: 8 * 60, offMinute: 20 * 60, months: ALL_YEAR })],
  lamps: [
    lamp({ id: 'stock-bar', circuitId: 'stock-timer', tierId: 'stock-1', name: 'Shelf bar', form: 'bar', ppf: 95, powerW: 42, lengthM: 0.03, breadthM: 0.9, alongM: 0.2, acrossM: 0.6, aboveM: 0.5 }),
  ],
  plants: [
    plant({ id: 'b-lithops', homeId, taxonId: 'lithops-lesliei', name: '', spotId: 'packing-a', potCm: 8, heightCm: 4 }),
    plant({ id: 'b-hippeastrum', homeId, taxonId: 'hippeastrum-hybrid', name: '', spotId: 'packing-b', potCm: 15, heightCm: 50 }),
    plant({ id: 'b-peperomia', homeId, taxonId: 'peperomia-obtusifolia', name: '', spotId: 'stock-a', potCm: 12, heightCm: 20 }),
    plant({ id: 'b-nepenthes', homeId, taxonId: 'nepenthes-ventrata', name: '', spotId: 'stock-b', potCm: 15, heightCm: 40 }),
  ],
  ownTaxa: [],
  corrections: [],
  obstructions: [],
  blocks: [],
  photometries: [],
  weathers: [],
  readings: [],
  air: [air('back', 1, [27, 22, 60, 66]), air('back', 7, [18, 13, 62, 68])],
};
