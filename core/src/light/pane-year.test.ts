/** What the sun does at one window: its steps, the runs they are bound to, and the beam summed by quarter hours. */
import type { Window } from '../facts';
import { smallHome } from '../home/small-home.fixture';
import { directionInRoom, dot } from '../room';
import { HOUR_BINS, climateWeather, skyYear } from '../sky';
import { beamThrough, litShare, paneFlux, paneOf, paneYear, type Pane } from './index';

const room = { ...smallHome.rooms[0]!, wallABearing: 180 };
const base: Window = { ...smallHome.windows[0]! };
const sky = skyYear({
  place: { latitude: 50, longitude: 0 },
  timeZone: 'Etc/GMT',
  year: 2026,
  weather: climateWeather(Array<number>(12).fill(0.45), 50, 3.5),
});
const paneWith = (given: Partial<Window> = {}) =>
  paneOf(room, { ...base, ...given }, { panes: 2, normalTransmittance: 0.76 });
const yearOf = (pane: Pane) => paneYear({ pane, ...paneFlux(pane) }, sky);
const sum = (values: ArrayLike<number>) => Array.from(values).reduce((total, value) => total + value, 0);

const south = paneWith();
const year = yearOf(south);

describe('the steps before a window', () => {
  it('are those in which a beam passes it, each once', () => {
    const before = Array.from({ length: sky.steps }, (_, step) => step).filter(
      (step) => beamThrough(south, directionInRoom(room, sky.azimuthDeg[step]!, sky.elevationDeg[step]!)) > 0,
    );
    expect(year.steps.length).toBe(before.length);
    expect(new Set(year.steps).size).toBe(before.length);
    const known = new Set(before);
    expect(Array.from(year.steps).every((step) => known.has(step))).toBe(true);
  });

  it('are fewer the farther the window looks away from the sun', () => {
    const counts = [180, 120, 60, 0].map(
      (bearing) =>
        yearOf(paneOf({ ...room, wallABearing: bearing }, base, { panes: 2, normalTransmittance: 0.76 })).steps.length,
    );
    for (let i = 1; i < counts.length; i++) expect(counts[i]!).toBeLessThan(counts[i - 1]!);
    expect(counts[3]!).toBeGreaterThan(0);
  });

  it('are none in months in which the view does not hold', () => {
    const half = yearOf({ ...south, months: [6] });
    expect(Array.from(half.steps).every((step) => Math.floor(sky.bin[step]! / 24) === 5)).toBe(true);
    expect(half.steps.length).toBeGreaterThan(0);
    expect(half.steps.length).toBeLessThan(year.steps.length / 6);
  });
});

describe('runs of steps', () => {
  const { starts, along, parts, whole } = year.runs;
  const runs = starts.length - 1;

  it('bind every step to one run of its own hour bin', () => {
    expect(starts[0]).toBe(0);
    expect(starts[runs]).toBe(year.steps.length);
    for (let run = 0; run < runs; run++) {
      expect(starts[run + 1]!).toBeGreaterThan(starts[run]!);
      const bins = new Set(Array.from(year.steps.slice(starts[run]!, starts[run + 1]!), (step) => sky.bin[step]));
      expect(bins.size).toBe(1);
    }
  });

  it('never part an hour of one day', () => {
    for (let run = 1; run < runs; run++) {
      const [before, step] = [year.steps[starts[run]! - 1]!, year.steps[starts[run]!]!];
      const parted = sky.bin[before] === sky.bin[step] && step - before === sky.slot[step]! - sky.slot[before]!;
      expect(parted).toBe(false);
    }
  });

  it('enclose their beams, and the part of the opening that all of them leave', () => {
    const outside: number[] = [];
    for (let run = 0; run < runs; run++) {
      for (let i = starts[run]!; i < starts[run + 1]!; i++) {
        const inBounds =
          year.alongU[i]! >= along[4 * run]! &&
          year.alongU[i]! <= along[4 * run + 1]! &&
          year.alongV[i]! >= along[4 * run + 2]! &&
          year.alongV[i]! <= along[4 * run + 3]!;
        const partHolds = [0, 2].every(
          (edge) =>
            year.parts[4 * i + edge]! <= parts[4 * run + edge]! &&
            year.parts[4 * i + edge + 1]! >= parts[4 * run + edge + 1]!,
        );
        if (!inBounds || !partHolds) outside.push(i);
      }
    }
    expect(outside).toEqual([]);
  });

  it('hold together what a leaf in the midst of an endless opening would get', () => {
    let level = 0;
    year.steps.forEach((step, i) => {
      for (let type = 0; type < sky.dayTypes; type++)
        level +=
          (sky.dni[step * sky.dayTypes + type]! * year.passed[i]! * year.height[i]! * 0.25) /
          sky.daysInMonth[Math.floor(sky.bin[step]! / 24)]!;
    });
    expect(sum(whole.energy) / level).toBeCloseTo(1, 6);
    for (let run = 0; run < runs; run++) expect(whole.likely[run]!).toBeLessThanOrEqual(whole.possible[run]! + 1e-12);
  });
});

describe('the beam by quarter hours', () => {
  it('is read from four nodes whose shares make one', () => {
    for (let entry = 0; entry < year.beamBins.length; entry++)
      expect(sum(year.beamShares.slice(4 * entry, 4 * entry + 4))).toBeCloseTo(1, 5);
  });

  it('keeps the energy of the steps', () => {
    let energy = 0;
    for (const step of year.steps)
      for (let type = 0; type < sky.dayTypes; type++)
        energy += (sky.dni[step * sky.dayTypes + type]! * 0.25) / sky.daysInMonth[Math.floor(sky.bin[step]! / 24)]!;
    expect(sum(year.beamEnergy) / energy).toBeCloseTo(1, 6);
  });

  it('falls on the curtain at a slant and through what reveal and overhang leave', () => {
    const deep = paneWith({ revealM: 0.3, revealReflectance: 0, overhangM: 0.4, overhangAboveM: 0.1 });
    const deepYear = yearOf(deep);
    let flux = 0;
    for (const step of deepYear.steps) {
      const toSun = directionInRoom(room, sky.azimuthDeg[step]!, sky.elevationDeg[step]!);
      const share = beamThrough(deep, toSun) * dot(toSun, deep.opening.normal) * litShare(deep, toSun);
      for (let type = 0; type < sky.dayTypes; type++)
        flux +=
          (sky.dni[step * sky.dayTypes + type]! * share * 0.25) / sky.daysInMonth[Math.floor(sky.bin[step]! / 24)]!;
    }
    expect(sum(deepYear.sunFlux) / flux).toBeCloseTo(1, 5);
    expect(sum(deepYear.sunFlux)).toBeLessThan(sum(year.sunFlux) * 0.8);
    expect(deepYear.sunFlux.length).toBe(HOUR_BINS * sky.dayTypes);
  });
});
