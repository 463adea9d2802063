/** A room's air through a day, against cases integrated finely by other means. */
import reference from '../../reference/airday.json';
import { heatedRoom } from './heated-room.fixture';
import { airByHour, always, type AirDays, type AirZone, type Schedule, type ZoneHours } from './index';

interface GivenSchedule {
  readonly base: number;
  readonly parts: readonly (readonly [number, number, number])[];
}

const scheduleOf = (given: number | GivenSchedule): Schedule =>
  typeof given === 'number'
    ? always(given)
    : { base: given.base, parts: given.parts.map(([fromH, toH, value]) => ({ fromH, toH, value })) };
const heatOf = (takesHeat: boolean) => (takesHeat ? 'from-the-room' : 'its-own');

/** A zone as the file writes it. */
interface GivenZone {
  readonly dry_air_kg: number;
  readonly C_J_K: number;
  readonly UA_W_K: number;
  readonly ach: number | GivenSchedule;
  readonly internal_W: Readonly<Record<string, number | GivenSchedule>>;
  readonly sources: Readonly<Record<string, { readonly g_h: number | GivenSchedule; readonly takes_heat: boolean }>>;
  readonly solar_W?: readonly number[];
  readonly heating?: { readonly max_W: number; readonly set_C: number | GivenSchedule; readonly band_K: number };
  readonly humidifier?: {
    readonly control: string;
    readonly max_g_h: number;
    readonly set_rh: number;
    readonly band_rh?: number;
    readonly half_band?: number;
    readonly takes_heat: boolean;
  };
  readonly dehumidifier?: {
    readonly max_g_h: number;
    readonly set_rh: number;
    readonly band_rh: number;
    readonly power_W: number;
  };
  readonly panes?: readonly { readonly area_m2: number; readonly U: number; readonly to?: number }[];
  readonly wet?: { readonly area_m2: number; readonly coefficient_kg_m2s: number };
}

function zoneOf(given: GivenZone): AirZone {
  const { heating, humidifier, dehumidifier, wet } = given;
  const common =
    humidifier &&
    ({
      maxGH: humidifier.max_g_h,
      setRh: humidifier.set_rh,
      heat: heatOf(humidifier.takes_heat),
    } as const);
  return {
    dryAirKg: given.dry_air_kg,
    capacityJK: given.C_J_K,
    uaWK: given.UA_W_K,
    airChangesH: scheduleOf(given.ach),
    venting: null,
    internalW: Object.values(given.internal_W).map(scheduleOf),
    sources: Object.values(given.sources).map(({ g_h, takes_heat }) => ({
      gH: scheduleOf(g_h),
      heat: heatOf(takes_heat),
    })),
    solarW: given.solar_W ?? null,
    heating: heating ? { maxW: heating.max_W, setC: scheduleOf(heating.set_C), bandK: heating.band_K } : null,
    humidifier: !common
      ? null
      : humidifier!.control === 'on_off'
        ? { ...common, control: 'on-off', halfBandRh: humidifier!.half_band! }
        : { ...common, control: 'proportional', bandRh: humidifier!.band_rh! },
    dehumidifier: dehumidifier
      ? {
          maxGH: dehumidifier.max_g_h,
          setRh: dehumidifier.set_rh,
          bandRh: dehumidifier.band_rh,
          powerW: dehumidifier.power_W,
        }
      : null,
    panes: (given.panes ?? []).map(({ area_m2, U, to }) => ({ areaM2: area_m2, uValue: U, behind: to ?? 'outdoors' })),
    wet: wet ? { areaM2: wet.area_m2, coefficient: wet.coefficient_kg_m2s } : null,
  };
}

type Case = (typeof reference.cases)[number];

const daysOf = (c: Case): AirDays => ({
  pressurePa: c.pressure_Pa,
  days: c.days,
  outdoors: { celsius: c.outdoor.temperature_C, ratio: c.outdoor.humidity_ratio_g_kg.map((grams) => grams / 1000) },
  zones: (c.zones as unknown as GivenZone[]).map(zoneOf),
  links: c.links.map(({ a, b, UA_W_K, flow_kg_s }) => ({ a, b, uaWK: UA_W_K, flowKgS: flow_kg_s })),
  start:
    c.start.kind === 'periodic'
      ? 'periodic'
      : c.start.T_C.map((celsius, z) => ({ celsius, ratio: c.start.W_g_kg[z]! / 1000 })),
});

const sum = (list: readonly number[]) => list.reduce((total, value) => total + value, 0);

describe.each(reference.cases)('$id $name', (c) => {
  const days = daysOf(c);
  const found = airByHour(days);
  const isSwitched = days.zones.some(({ humidifier }) => humidifier?.control === 'on-off');

  it.each(c.output.map((output, z) => ({ output, z, name: output.zone })))('$name', ({ output, z }) => {
    const hours = found[z]!;
    const within = (list: readonly number[], wanted: readonly number[] | undefined, most: number) =>
      wanted?.forEach((value, i) => expect(Math.abs(list[i]! - value)).toBeLessThan(most));
    within(hours.meanC, output.mean_temperature_C, 0.1);
    within(hours.meanRh, output.mean_rh_pct, 1);
    if (!isSwitched) {
      within(hours.celsius, output.temperature_C, 0.1);
      within(hours.rh, output.rh_pct, 1);
      within(hours.dewPointC, output.dew_point_C, 0.3);
    }
    const totals = output.totals;
    const grams = (list: readonly number[], wanted: number) =>
      expect(Math.abs(sum(list) - wanted)).toBeLessThan(0.02 * wanted + 0.5);
    grams(hours.condensationG, totals.condensation_g);
    grams(hours.humidifierG, totals.humidifier_g);
    grams(hours.dehumidifierG, totals.dehumidifier_g);
    grams(hours.evaporationG, totals.evaporation_g);
    expect(Math.abs(sum(hours.heatingW) - totals.heating_Wh)).toBeLessThan(0.02 * totals.heating_Wh + 1);
    const byHour = output as unknown as Partial<Record<string, readonly number[]>>;
    for (const [list, wanted] of [
      [hours.condensationG, byHour.condensation_g],
      [hours.evaporationG, byHour.evaporation_g],
      [hours.dehumidifierG, byHour.dehumidifier_g],
      [hours.humidifierG, isSwitched ? undefined : byHour.humidifier_g],
    ] as const)
      wanted?.forEach((value, i) => expect(Math.abs(list[i]! - value)).toBeLessThan(0.05 * value + 0.5));
    expect(Math.abs(Math.max(...hours.meanC) - output.highest_C)).toBeLessThan(0.1);
  });
});

/** Water that a zone gained over its days against what came in and went out, g. */
function unaccounted(zone: AirZone, hours: ZoneHours): number {
  const gained = 1000 * zone.dryAirKg * (hours.end.ratio - hours.ratio[0]!);
  const came =
    sum(hours.sourcesG) + sum(hours.humidifierG) + sum(hours.evaporationG) + sum(hours.airingG) + sum(hours.linksG);
  return gained - (came - sum(hours.dehumidifierG) - sum(hours.condensationG));
}

describe('balances', () => {
  it.each(reference.cases)('of $id keep every gram, and what leaves one zone enters the other', (c) => {
    const days = daysOf(c);
    const found = airByHour(days);
    found.forEach((hours, z) => {
      const turned = sum(hours.sourcesG) + sum(hours.humidifierG) + sum(hours.evaporationG) + 1;
      expect(Math.abs(unaccounted(days.zones[z]!, hours)) / turned).toBeLessThan(1e-6);
    });
    if (found.length === 2) expect(Math.abs(sum(found[0]!.linksG) + sum(found[1]!.linksG))).toBeLessThan(1e-6);
  });

  it.each(reference.cases)('of $id change by less than a hundredth with half the steps', (c) => {
    const days = daysOf(c);
    const steps = days.zones.some(({ humidifier }) => humidifier?.control === 'on-off') ? 240 : 40;
    const [coarse, fine] = [airByHour(days), airByHour(days, steps)];
    fine.forEach((hours, z) => {
      hours.meanC.forEach((value, i) => expect(Math.abs(coarse[z]!.meanC[i]! - value)).toBeLessThan(0.02));
      hours.meanRh.forEach((value, i) => expect(Math.abs(coarse[z]!.meanRh[i]! / value - 1)).toBeLessThan(0.01));
    });
  });
});

describe('laws of air by the hour', () => {
  const outdoors = {
    celsius: Array.from({ length: 24 }, (_, hour) => 4 - 4 * Math.cos(((hour - 3) / 12) * Math.PI)),
    ratio: Array.from({ length: 24 }, () => 0.004),
  };
  const room = heatedRoom;
  const run = (zones: readonly AirZone[], links: AirDays['links'] = []) =>
    airByHour({ pressurePa: 101_325, days: 1, outdoors, zones, links, start: 'periodic' });
  const meanOf = (list: readonly number[]) => sum(list) / list.length;

  it('bring a room nearer to outdoors the more it leaks', () => {
    const ratios = [0.3, 0.6, 1.2, 2.4].map((value) =>
      meanOf(run([{ ...room, airChangesH: always(value) }])[0]!.ratio),
    );
    for (const [i, ratio] of ratios.entries()) {
      expect(ratio).toBeGreaterThan(0.004);
      if (i > 0) expect(ratio).toBeLessThan(ratios[i - 1]!);
    }
  });

  it('never make a room drier by a larger humidifier', () => {
    const rhs = [0, 50, 150, 300, 600].map((maxGH) => {
      const humidifier = { control: 'proportional', maxGH, setRh: 60, bandRh: 4, heat: 'from-the-room' } as const;
      return meanOf(run([{ ...room, humidifier }])[0]!.meanRh);
    });
    rhs.forEach((rh, i) => expect(rh).toBeGreaterThanOrEqual((rhs[i - 1] ?? 0) - 1e-6));
    expect(rhs[4]).toBeLessThan(60);
  });

  it('fill a sealed box with wet soil', () => {
    const sealed = { ...room, airChangesH: always(0), sources: [], wet: { areaM2: 0.1, coefficient: 0.004 } };
    expect(Math.min(...run([{ ...sealed, dryAirKg: 0.5, capacityJK: 4e4, uaWK: 5 }])[0]!.rh)).toBeGreaterThan(95);
  });

  it('dry the air by warming it, its water the same', () => {
    const at = (celsius: number) => run([{ ...room, heating: { ...room.heating!, setC: always(celsius) } }])[0]!;
    expect(meanOf(at(23).meanRh)).toBeLessThan(meanOf(at(19).meanRh) - 5);
    expect(meanOf(at(23).ratio)).toBeCloseTo(meanOf(at(19).ratio), 4);
  });

  it('leave two rooms with an open door between what each was alone', () => {
    const bath = { ...room, heating: null, sources: [{ gH: always(200), heat: 'its-own' } as const] };
    const [roomAlone, bathAlone] = [run([room])[0]!, run([bath])[0]!];
    const [opened, bathOpened] = run([room, bath], [{ a: 0, b: 1, uaWK: 10, flowKgS: 0.05 }]) as [ZoneHours, ZoneHours];
    const between = (value: number, one: number, other: number) => {
      expect(value).toBeGreaterThan(Math.min(one, other));
      expect(value).toBeLessThan(Math.max(one, other));
    };
    between(meanOf(opened.ratio), meanOf(roomAlone.ratio), meanOf(bathAlone.ratio));
    between(meanOf(bathOpened.ratio), meanOf(roomAlone.ratio), meanOf(bathAlone.ratio));
    between(meanOf(bathOpened.meanC), meanOf(roomAlone.meanC), meanOf(bathAlone.meanC));
  });
});
