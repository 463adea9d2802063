/** A heated room of about 40 m3 with a person and a few plants in it. */
import { always, type AirZone } from './zones';

export const heatedRoom: AirZone = {
  dryAirKg: 50,
  capacityJK: 4e6,
  uaWK: 50,
  airChangesH: always(0.5),
  venting: null,
  internalW: [always(100)],
  sources: [{ gH: always(60), heat: 'from-the-room' }],
  solarW: null,
  heating: { maxW: 2500, setC: always(20), bandK: 0.1 },
  humidifier: null,
  dehumidifier: null,
  panes: [],
  wet: null,
};
