import { SOLAR_CONSTANT } from '../units';
import {
  DAY_TYPES,
  SKY_NODES,
  airMass,
  clearSkyIrradiance,
  clearnessProfile,
  climateWeather,
  haurwitzGlobal,
  coarsened,
  emptyAround,
  findAround,
  FINE_NET,
  HORIZONTAL_WEIGHTS,
  COARSE_NET,
  clearSky,
  nodeDirection,
  scatterToNodes,
  skyYear,
  splitGlobal,
} from './index';

describe('clear skies', () => {
  it('are brighter the higher the sun, and never brighter than outside the atmosphere', () => {
    let last = 0;
    for (let elevation = 1; elevation <= 90; elevation++) {
      const sin = Math.sin((elevation * Math.PI) / 180);
      const { dni, dhi } = clearSkyIrradiance(elevation, 0, 3, SOLAR_CONSTANT);
      const global = dni * sin + dhi;
      expect(global).toBeGreaterThan(last);
      expect(global).toBeLessThan(SOLAR_CONSTANT * sin);
      expect(dni).toBeGreaterThanOrEqual(0);
      last = global;
    }
  });

  it('lose beam to haze and gain it with height', () => {
    const beam = (altitude: number, turbidity: number) =>
      clearSkyIrradiance(40, altitude, turbidity, SOLAR_CONSTANT).dni;
    expect(beam(0, 6)).toBeLessThan(beam(0, 2));
    expect(beam(2000, 3)).toBeGreaterThan(beam(0, 3));
  });

  it('pass one atmosphere overhead and about 38 at the horizon', () => {
    expect(airMass(90)).toBeCloseTo(1, 2);
    expect(airMass(0)).toBeGreaterThan(36);
    expect(airMass(0)).toBeLessThan(40);
  });

  it('split into beam and diffuse that add up again', () => {
    const sin = 0.6;
    const global = haurwitzGlobal(sin);
    const { dni, dhi } = splitGlobal(global, SOLAR_CONSTANT, sin);
    expect(dni * sin + dhi).toBeCloseTo(global, 9);
  });
});

function readAtNodes(field: Float64Array, azimuthDeg: number, elevationDeg: number): number {
  const around = emptyAround();
  findAround(around, FINE_NET, azimuthDeg, elevationDeg);
  return around.shares.reduce((sum, share, i) => sum + share * field[around.nodes[i]!]!, 0);
}

describe('sky nodes', () => {
  it('made coarse still give open ground the same, and an even sky stays even', () => {
    const weights = new Float64Array(COARSE_NET.count);
    for (let elevation = 0.5; elevation < 90; elevation++) {
      const band = Math.sin((elevation * Math.PI) / 180) * Math.cos((elevation * Math.PI) / 180) * (Math.PI / 180) ** 2;
      for (let azimuth = 0.5; azimuth < 360; azimuth++) scatterToNodes(weights, azimuth, elevation, band, COARSE_NET);
    }
    const onGround = (field: Float64Array, by: Float64Array) =>
      field.reduce((sum, radiance, node) => sum + radiance * by[node]!, 0);
    for (const [azimuth, elevation] of [
      [180, 30],
      [95, 4],
      [260, 62],
    ] as const) {
      const fine = clearSky(azimuth, elevation);
      expect(onGround(coarsened(fine), weights)).toBeCloseTo(onGround(fine, HORIZONTAL_WEIGHTS), 6);
    }
    const even = coarsened(new Float64Array(SKY_NODES).fill(2));
    for (const radiance of even) expect(radiance).toBeCloseTo(2, 6);
  });

  it('read back what is scattered to them, and a constant as itself', () => {
    const field = new Float64Array(SKY_NODES);
    scatterToNodes(field, 123.4, 37.8, 2.5);
    expect(field.reduce((sum, value) => sum + value, 0)).toBeCloseTo(2.5, 9);
    const even = new Float64Array(SKY_NODES).fill(3);
    for (const [azimuth, elevation] of [
      [0, 0],
      [359.9, 5],
      [-30, 89.9],
      [725, 90],
    ] as const)
      expect(readAtNodes(even, azimuth, elevation)).toBeCloseTo(3, 9);
  });

  it('stand where they say', () => {
    const field = Float64Array.from({ length: SKY_NODES }, (_, node) => node);
    for (const node of [0, 40, 300, SKY_NODES - 40]) {
      const { azimuthDeg, elevationDeg } = nodeDirection(node);
      if (elevationDeg < 90) expect(readAtNodes(field, azimuthDeg, elevationDeg)).toBeCloseTo(node, 6);
    }
  });
});

describe('a climate’s weather', () => {
  const clearness = [0.3, 0.35, 0.39, 0.43, 0.45, 0.43, 0.42, 0.42, 0.4, 0.36, 0.31, 0.27];
  const place = { latitude: 56.4, longitude: -2.7 };
  const year = skyYear({ place, timeZone: 'Europe/London', year: 2026, weather: climateWeather(clearness, 6, 3) });
  const monthly = (field: Float64Array, month0: number, type: number) => {
    let sum = 0;
    for (let hour = 0; hour < 24; hour++) sum += field[(month0 * 24 + hour) * year.dayTypes + type]!;
    return sum;
  };

  it('gives each month the clearness it was told, on the mean of its day types', () => {
    for (let month0 = 0; month0 < 12; month0++) {
      let found = 0;
      for (let type = 0; type < DAY_TYPES; type++) found += monthly(year.global, month0, type) / DAY_TYPES;
      let outside = 0;
      for (let step = 0; step < year.steps; step++) {
        if (Math.floor(year.bin[step]! / 24) !== month0) continue;
        outside +=
          (SOLAR_CONSTANT * Math.sin((year.elevationDeg[step]! * Math.PI) / 180) * 0.25) / year.daysInMonth[month0]!;
      }
      // The orbit's 3 % and the clear-sky ceiling lie between.
      expect(Math.abs(found / outside - clearness[month0]!)).toBeLessThan(0.03);
    }
  });

  it('has brighter day types after duller ones in every month', () => {
    for (let month0 = 0; month0 < 12; month0++) {
      for (let type = 1; type < DAY_TYPES; type++)
        expect(monthly(year.global, month0, type)).toBeGreaterThan(monthly(year.global, month0, type - 1));
    }
  });

  it('gives the same year again', () => {
    const again = skyYear({ place, timeZone: 'Europe/London', year: 2026, weather: climateWeather(clearness, 6, 3) });
    expect(again.global).toEqual(year.global);
    expect(again.dni).toEqual(year.dni);
  });

  it('knows polar night and midnight sun', () => {
    const north = skyYear({
      place: { latitude: 75, longitude: 20 },
      timeZone: 'Etc/GMT-1',
      year: 2026,
      weather: climateWeather(clearness, 0, 2.4),
    });
    const hoursWithSun = (month0: number) =>
      Array.from({ length: 24 }, (_, hour) => north.global[(month0 * 24 + hour) * north.dayTypes]!).filter(
        (value) => value > 0,
      ).length;
    expect(hoursWithSun(11)).toBe(0);
    expect(hoursWithSun(5)).toBe(24);
  });

  it('runs through a day highest at noon', () => {
    const { a, b } = clearnessProfile(Math.PI / 2);
    expect(a + b).toBeGreaterThan(a);
    expect(a).toBeGreaterThan(0);
  });
});
