/** The outdoor year step by step: which steps there are, in which order, and what they hold. */
import { sunPosition } from '../sun';
import { FINE_NET, HOUR_BINS, climateWeather, skyYear, type SkyYear } from './index';

const weather = climateWeather(Array<number>(12).fill(0.45), 20, 3.5);
const yearAt = (latitude: number, stepMinutes: 15 | 7.5 = 15): SkyYear =>
  skyYear({ place: { latitude, longitude: 0 }, timeZone: 'Etc/GMT', year: 2026, weather, stepMinutes });
const home = yearAt(52);
const sum = (values: ArrayLike<number>) => Array.from(values).reduce((total, value) => total + value, 0);

describe('the steps of a year', () => {
  it('are those with the sun up: half the year, everywhere', () => {
    for (const latitude of [0, 35, 52, -34])
      expect(Math.abs(yearAt(latitude).steps / (365 * 96) - 0.5)).toBeLessThan(0.01);
  });

  it('know polar night and polar day', () => {
    const north = yearAt(78);
    const stepsIn = (month: number) => Array.from(north.bin).filter((bin) => Math.floor(bin / 24) === month - 1).length;
    expect(stepsIn(12)).toBe(0);
    expect(stepsIn(6)).toBe(30 * 96);
    expect(north.lit.slice(11 * 24).every((lit) => lit === 0)).toBe(true);
  });

  it('are ordered by bin without losing one, those of a bin in order of time', () => {
    expect(home.byBin.length).toBe(home.steps);
    expect(new Set(home.byBin).size).toBe(home.steps);
    const disorder: number[] = [];
    for (let i = 1; i < home.steps; i++) {
      const [before, step] = [home.byBin[i - 1]!, home.byBin[i]!];
      const bins = home.bin[step]! - home.bin[before]!;
      if (bins < 0 || (bins === 0 && step <= before)) disorder.push(i);
    }
    expect(disorder).toEqual([]);
  });

  it('point at the sun, a unit away, always above the horizon', () => {
    for (let step = 0; step < home.steps; step += 101) {
      const [east, north, up] = home.toSun.slice(3 * step, 3 * step + 3) as unknown as [number, number, number];
      expect(Math.hypot(east, north, up)).toBeCloseTo(1, 9);
      expect(up).toBeGreaterThan(0);
      expect((Math.asin(up) * 180) / Math.PI).toBeCloseTo(home.elevationDeg[step]!, 4);
    }
  });

  it('stand where the sun stood: the highest of June is that of the solstice’s noon', () => {
    const june = Array.from(home.bin.keys()).filter((step) => Math.floor(home.bin[step]! / 24) === 5);
    const highest = Math.max(...june.map((step) => home.elevationDeg[step]!));
    expect(
      Math.abs(highest - sunPosition(Date.UTC(2026, 5, 21, 12, 2), { latitude: 52, longitude: 0 }).elevationDeg),
    ).toBeLessThan(0.05);
  });

  it('twice as fine, are twice as many and hold the same light', () => {
    const fine = yearAt(52, 7.5);
    expect(Math.abs(fine.steps / home.steps - 2)).toBeLessThan(0.005);
    expect(Math.abs(sum(fine.global) / sum(home.global) - 1)).toBeLessThan(0.002);
  });
});

describe('the light of a year', () => {
  it('names the strongest of each step’s day types', () => {
    for (let step = 0; step < home.steps; step += 37) {
      expect(home.dniMost[step]).toBe(Math.max(...home.dni.slice(step * home.dayTypes, (step + 1) * home.dayTypes)));
    }
  });

  it('is beam and diffuse: clear, overcast and beam on level ground make the global', () => {
    const beam = new Float64Array(HOUR_BINS * home.dayTypes);
    for (let step = 0; step < home.steps; step++) {
      const bin = home.bin[step]!;
      for (let type = 0; type < home.dayTypes; type++)
        beam[bin * home.dayTypes + type]! +=
          (home.dni[step * home.dayTypes + type]! * home.toSun[3 * step + 2]! * 0.25) /
          home.daysInMonth[Math.floor(bin / 24)]!;
    }
    for (let at = 0; at < beam.length; at += 11)
      expect(home.clearDiffuse[at]! + home.overcastDiffuse[at]! + beam[at]!).toBeCloseTo(home.global[at]!, 2);
  });

  it('mirrors itself across the equator half a year apart', () => {
    const south = yearAt(-52);
    const monthOf = (year: SkyYear, month0: number) =>
      sum(year.global.slice(month0 * 24 * year.dayTypes, (month0 + 1) * 24 * year.dayTypes));
    // The earth is nearer to the sun in January: up to 7 % more light in the southern summer.
    for (let month0 = 0; month0 < 12; month0++)
      expect(Math.abs(monthOf(south, (month0 + 6) % 12) / monthOf(home, month0) - 1)).toBeLessThan(0.12);
    expect(monthOf(south, 11)).toBeGreaterThan(monthOf(home, 5));
  });

  it('lies node by node, each clear shape whole over open ground', () => {
    expect(home.clearShape.length).toBe(FINE_NET.count * HOUR_BINS);
    const noonOfJune = 5 * 24 + 12;
    const brightest = Array.from({ length: FINE_NET.count }, (_, node) => node).reduce((p, q) =>
      home.clearShape[q * HOUR_BINS + noonOfJune]! > home.clearShape[p * HOUR_BINS + noonOfJune]! ? q : p,
    );
    // Brightest round the sun: in the south, some 61 degrees high.
    expect(Math.abs((brightest % FINE_NET.columns) * FINE_NET.azimuthStepDeg - 180)).toBeLessThanOrEqual(20);
    expect(Math.floor(brightest / FINE_NET.columns) * FINE_NET.altitudeStepDeg).toBeGreaterThan(45);
  });
});
