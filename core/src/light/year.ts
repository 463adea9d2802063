/** The daylight of a spot through the year: its windows added up under their curtains. */
import { HOUR_BINS, type SkyYear } from '../sky/year';
import type { BinnedCoefficients } from './binned';
import { UNCURTAINED, UNCURTAINED_YEAR, transmittanceAt, type Transmittance, type TransmittanceYear } from './curtains';
import type { WindowYear } from './window-year';

export const DAYLIGHT_SOURCES = ['sun', 'sky', 'ground', 'obstruction', 'reflected'] as const;
export type DaylightSource = (typeof DAYLIGHT_SOURCES)[number];

/** Daylight at a spot through the year, W h m-2 of broadband irradiance a day unless said otherwise. */
export interface DaylightYear {
  /** Mean over day types, by bin, for each source. */
  readonly byHour: Readonly<Record<DaylightSource, Float64Array>>;
  /** Total of a day by `month0 * dayTypes + type`. */
  readonly byDayType: Float64Array;
  readonly dayTypes: number;
  /** A clear day by bin, W m-2: each hour's brightest sun of the month on top of that hour's diffuse light. */
  readonly clearDay: Float64Array;
  /** Hours a day of direct sun by month: possible under an open sky, and likely. A shut curtain that scatters takes them. */
  readonly sunHoursPossible: Float64Array;
  readonly sunHoursLikely: Float64Array;
  /** By month: the daylight factor as curtains are drawn, from midnight to midnight, each stretch until the next begins. */
  readonly factors: readonly (readonly FactorFrom[])[];
  /** Daylight factor: share of the light of open ground under an overcast sky, with curtains open; mean of the year. */
  readonly daylightFactor: number;
}

/** A daylight factor from a minute of the day on. */
export interface FactorFrom {
  readonly fromMinute: number;
  readonly factor: number;
}

/** A spot's year as its windows are added to it. */
type Tally = Omit<DaylightYear, 'factors' | 'daylightFactor'>;

const emptyTally = (dayTypes: number): Tally => ({
  byHour: {
    sun: new Float64Array(HOUR_BINS),
    sky: new Float64Array(HOUR_BINS),
    ground: new Float64Array(HOUR_BINS),
    obstruction: new Float64Array(HOUR_BINS),
    reflected: new Float64Array(HOUR_BINS),
  },
  byDayType: new Float64Array(12 * dayTypes),
  dayTypes,
  clearDay: new Float64Array(HOUR_BINS),
  sunHoursPossible: new Float64Array(12),
  sunHoursLikely: new Float64Array(12),
});

/**
 * Adds up a spot's windows under their curtains.
 * @param transmittances by window id; a window without one stands open
 */
export function daylightYear(
  windows: readonly WindowYear[],
  sky: SkyYear,
  transmittances: ReadonlyMap<string, TransmittanceYear>,
): DaylightYear {
  const tally = emptyTally(sky.dayTypes);
  let daylightFactor = 0;
  for (const window of windows) {
    daylightFactor += meanFactor(window);
    const transmittance = veilsOf(window, transmittances.get(window.windowId) ?? UNCURTAINED_YEAR);
    addWindow(tally, window, sky, transmittance);
  }
  const factors = Array.from({ length: 12 }, (_, month0) => factorsOf(windows, transmittances, month0));
  return { ...tally, factors, daylightFactor };
}

/** What a window lets pass of each part of the outdoors in one bin, seen and thrown back, straight and spread evenly. */
const through = {
  /** By a curtain, and by the pane: each times what falls on it. */
  curtainDirect: 0,
  curtainBack: 0,
  paneDirect: 0,
  paneBack: 0,
  clearHere: 0,
  clearBack: 0,
  evenHere: 0,
  evenBack: 0,
  groundHere: 0,
  obstructionHere: 0,
  outsideBack: 0,
};

function mixAt(
  window: WindowYear,
  { straight, spread, veiled, twice }: Transmittance,
  bin: number,
  ground: number,
): void {
  const { direct, reflected: back, flux, veilFlux, transfer } = window;
  const curtainDirect = spread * direct.optics;
  const curtainBack = spread * back.optics;
  const paneDirect = veiled * direct.veil + twice * transfer * direct.optics;
  const paneBack = veiled * back.veil + twice * transfer * back.optics;
  through.curtainDirect = curtainDirect;
  through.curtainBack = curtainBack;
  through.paneDirect = paneDirect;
  through.paneBack = paneBack;
  const [clearFlux, clearVeil] = [flux.clear[bin]!, veilFlux.clear[bin]!];
  through.clearHere = straight * direct.clear[bin]! + curtainDirect * clearFlux + paneDirect * clearVeil;
  through.clearBack = straight * back.clear[bin]! + curtainBack * clearFlux + paneBack * clearVeil;
  through.evenHere = straight * direct.overcast + curtainDirect * flux.overcast + paneDirect * veilFlux.overcast;
  through.evenBack = straight * back.overcast + curtainBack * flux.overcast + paneBack * veilFlux.overcast;
  through.groundHere = (straight * direct.ground + curtainDirect * flux.ground + paneDirect * veilFlux.ground) * ground;
  through.obstructionHere =
    straight * direct.obstruction + curtainDirect * flux.obstruction + paneDirect * veilFlux.obstruction;
  through.outsideBack =
    (straight * back.ground + curtainBack * flux.ground + paneBack * veilFlux.ground) * ground +
    straight * back.obstruction +
    curtainBack * flux.obstruction +
    paneBack * veilFlux.obstruction;
}

/** The veils of a leaf in the reveal are those of the pane alone. */
const veilsOf = ({ place }: WindowYear, transmittance: TransmittanceYear): TransmittanceYear =>
  place === 'in-reveal' ? (transmittance.ofPane ?? transmittance) : transmittance;

const now = { straight: 0, spread: 0, veiled: 0, twice: 0 };

/** Adds what one window gives under its curtains. */
function addWindow(tally: Tally, window: WindowYear, sky: SkyYear, transmittance: TransmittanceYear): void {
  const { byHour, byDayType, dayTypes: types } = tally;
  const { sun: beam, sunFlux, veilSunFlux, sunReflected } = window;
  for (const month of window.months) {
    const month0 = month - 1;
    for (let bin = month0 * 24; bin < month * 24; bin++) {
      if (sky.lit[bin] === 0) continue;
      const straight = transmittance.straight[bin]!;
      now.straight = straight;
      now.spread = transmittance.spread[bin]!;
      now.veiled = transmittance.veiled[bin]!;
      now.twice = transmittance.twice[bin]!;
      mixAt(window, now, bin, window.groundByMonth[month0]!);
      const { curtainDirect, curtainBack, paneDirect, paneBack, clearHere, clearBack, evenHere, evenBack } = through;
      const { groundHere, obstructionHere, outsideBack } = through;
      let brightest = 0;
      for (let type = 0; type < types; type++) {
        const at = bin * types + type;
        const clear = sky.clearDiffuse[at]!;
        const overcast = sky.overcastDiffuse[at]!;
        const global = sky.global[at]!;
        const spreadSun = curtainDirect * sunFlux[at]! + paneDirect * veilSunFlux[at]!;
        const sun = straight * beam.energy[at]! + spreadSun;
        const skyLight = clear * clearHere + overcast * evenHere;
        const ground = global * groundHere;
        const obstruction = global * obstructionHere;
        const sunBack = straight * sunReflected[at]! + curtainBack * sunFlux[at]! + paneBack * veilSunFlux[at]!;
        const reflected = sunBack + clear * clearBack + overcast * evenBack + global * outsideBack;
        const diffuse = skyLight + ground + obstruction + reflected;
        byHour.sun[bin]! += sun / types;
        byHour.sky[bin]! += skyLight / types;
        byHour.ground[bin]! += ground / types;
        byHour.obstruction[bin]! += obstruction / types;
        byHour.reflected[bin]! += reflected / types;
        byDayType[month0 * types + type]! += sun + diffuse;
        if (diffuse + spreadSun > brightest) brightest = diffuse + spreadSun;
      }
      tally.clearDay[bin]! += brightest + beam.strongest[bin]! * transmittance.straightMost[bin]!;
      tally.sunHoursPossible[month0]! += beam.possible[bin]! * transmittance.sunShare[bin]!;
      tally.sunHoursLikely[month0]! += beam.likely[bin]! * transmittance.sunShare[bin]!;
    }
  }
}

/** A month's daylight factors through the day: one where no curtain is drawn or none parts the day. */
function factorsOf(
  windows: readonly WindowYear[],
  transmittances: ReadonlyMap<string, TransmittanceYear>,
  month0: number,
): FactorFrom[] {
  const hung = windows
    .filter(({ months }) => months.includes(month0 + 1))
    .map((window) => ({
      window,
      schedules: veilsOf(window, transmittances.get(window.windowId) ?? UNCURTAINED_YEAR).schedules,
    }));
  const edges = hung.flatMap(({ schedules }) =>
    schedules
      .filter(({ months }) => months.includes(month0 + 1))
      .flatMap(({ fromMinute, toMinute }) => [fromMinute, toMinute]),
  );
  const cuts = [...new Set([0, ...edges])].filter((minute) => minute < 1440).sort((p, q) => p - q);
  return cuts.map((fromMinute) => ({
    fromMinute,
    factor: hung.reduce((sum, { window, schedules }) => {
      return sum + overcastFactor(window, month0, transmittanceAt(schedules, month0 + 1, fromMinute));
    }, 0),
  }));
}

/** A window's part in the daylight factor of a month, under its curtains. */
function overcastFactor(window: WindowYear, month0: number, veils: Transmittance): number {
  const { groundByMonth, direct, reflected, flux, veilFlux, transfer } = window;
  const { straight, spread, veiled, twice } = veils;
  const ground = groundByMonth[month0]!;
  const open = (light: BinnedCoefficients) => light.overcast + light.obstruction + light.ground * ground;
  const curtain = direct.optics + reflected.optics;
  return (
    straight * (open(direct) + open(reflected)) +
    spread * curtain * open(flux) +
    (veiled * (direct.veil + reflected.veil) + twice * transfer * curtain) * open(veilFlux)
  );
}

/** A window's part in the year's mean daylight factor, with curtains open. */
function meanFactor(window: WindowYear): number {
  return window.months.reduce((sum, month) => sum + overcastFactor(window, month - 1, UNCURTAINED), 0) / 12;
}
