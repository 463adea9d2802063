/** Weather from a file keeps what the file says; drawn years repeat themselves. */
import fc from 'fast-check';
import { sunPosition } from '../sun';
import {
  DAY_TYPES,
  drawnMeans,
  fileWeather,
  momentAt,
  monthPercentiles,
  monthlyGlobal,
  seededYears,
  skyYear,
} from './index';
import { YEAR_HOURS, type WeatherHour } from '../facts';

const place = { latitude: 56.4, longitude: -2.7, elevationM: 8 };
const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Days of which every third is clear. */
const hours: WeatherHour[] = Array.from({ length: YEAR_HOURS }, (_, i) => {
  const sin = Math.max(
    0,
    Math.sin((sunPosition(Date.UTC(2025, 0, 1) + (i + 0.5) * 3_600_000, place).elevationDeg * Math.PI) / 180),
  );
  const clear = Math.floor(i / 24) % 3 === 0;
  const dhi = sin * (clear ? 90 : 210);
  const dni = clear ? 780 * (1 - Math.exp(-6 * sin)) : 0;
  return { global: Math.round(dhi + dni * sin), dni: Math.round(dni), dhi: Math.round(dhi) };
});
const year = skyYear({ place, timeZone: 'Europe/London', year: 2026, weather: fileWeather(hours, 0, place) });

describe('hours of a file', () => {
  it('brought down to quarter hours keep each month’s light within 1 %', () => {
    const wanted = monthlyGlobal(hours);
    for (let month0 = 0; month0 < 12; month0++) {
      let found = 0;
      for (let hour = 0; hour < 24; hour++)
        for (let type = 0; type < DAY_TYPES; type++)
          found += year.global[(month0 * 24 + hour) * DAY_TYPES + type]! / DAY_TYPES;
      expect(Math.abs(found / 1000 / wanted[month0]! - 1)).toBeLessThan(0.01);
    }
  });

  it('keep the month’s beam too, so that the sun’s patch is as strong as the file says', () => {
    const steps = new Float64Array(12);
    for (let step = 0; step < year.steps; step++) {
      const month0 = Math.floor(year.bin[step]! / 24);
      for (let type = 0; type < DAY_TYPES; type++)
        steps[month0]! += year.dni[step * DAY_TYPES + type]! / DAY_TYPES / 4 / MONTH_DAYS[month0]!;
    }
    let first = 0;
    MONTH_DAYS.forEach((days, month0) => {
      const wanted = hours.slice(first, first + days * 24).reduce((sum, hour) => sum + hour.dni, 0) / days;
      first += days * 24;
      expect(Math.abs(steps[month0]! / wanted - 1)).toBeLessThan(0.06);
    });
  });

  it('keep their beam in the far north, where the sun only grazes the horizon', () => {
    const north = { latitude: 69.65, longitude: 18.96, elevationM: 8 };
    const heightAt = (i: number) =>
      sunPosition(Date.UTC(2025, 0, 1) + (i + 0.5) * 300_000 - 3_600_000, north).elevationDeg;
    const grazing = Array.from({ length: YEAR_HOURS }, (_, i): WeatherHour => {
      const sines = Array.from({ length: 12 }, (_unused, part) => Math.sin((heightAt(12 * i + part) * Math.PI) / 180));
      const mean = (of: (sin: number) => number) => sines.reduce((sum, sin) => sum + (sin > 0 ? of(sin) : 0), 0) / 12;
      const dni = mean((sin) => 780 * (1 - Math.exp(-6 * sin)));
      const dhi = mean((sin) => 90 * sin);
      return { dni, dhi, global: dhi + mean((sin) => 780 * (1 - Math.exp(-6 * sin)) * sin) };
    });
    const there = skyYear({ place: north, timeZone: 'Etc/GMT-1', year: 2026, weather: fileWeather(grazing, 1, north) });
    const beam = new Float64Array(12);
    for (let step = 0; step < there.steps; step++) {
      const month0 = Math.floor(there.bin[step]! / 24);
      for (let type = 0; type < DAY_TYPES; type++)
        beam[month0]! += there.dni[step * DAY_TYPES + type]! / DAY_TYPES / 4 / MONTH_DAYS[month0]!;
    }
    let first = 0;
    MONTH_DAYS.forEach((days, month0) => {
      const wanted = grazing.slice(first, first + days * 24).reduce((sum, { dni }) => sum + dni, 0) / days;
      first += days * 24;
      // From the middle of January on, and until the end of November, the sun is up for minutes.
      if (wanted > 20) expect(Math.abs(beam[month0]! / wanted - 1)).toBeLessThan(wanted > 200 ? 0.05 : 0.08);
    });
  });

  it('stand in order from dull days to bright ones', () => {
    for (let month0 = 0; month0 < 12; month0++) {
      const light = Array.from({ length: DAY_TYPES }, (_, type) =>
        Array.from({ length: 24 }, (_unused, hour) => year.global[(month0 * 24 + hour) * DAY_TYPES + type]!).reduce(
          (sum, value) => sum + value,
          0,
        ),
      );
      expect([...light].sort((p, q) => p - q)).toEqual(light);
    }
  });
});

describe('an instant', () => {
  const ask = (sky: 'typical' | 'clear' | 'overcast', atMs = Date.UTC(2026, 5, 21, 12)) =>
    momentAt({ atMs, place, timeZone: 'Europe/London', sky, turbidity: 3, weather: fileWeather(hours, 0, place) });

  it('under a clear sky has most beam, under an overcast one none', () => {
    expect(ask('clear').dni).toBeGreaterThan(ask('typical').dni);
    expect(ask('typical').dni).toBeGreaterThan(0);
    expect(ask('overcast').dni).toBe(0);
    expect(ask('overcast').dhi).toBeGreaterThan(50);
  });

  it('by night has nothing', () => {
    expect(ask('clear', Date.UTC(2026, 11, 21, 23))).toMatchObject({ dni: 0, dhi: 0, month: 12 });
  });
});

describe('drawn years', () => {
  it('are the same from the same seed, and others from another', () => {
    expect(seededYears(4).shares).toEqual(seededYears(4).shares);
    expect(seededYears(4).shares).not.toEqual(seededYears(5).shares);
  });

  it('give each day type its fifth on the mean, and each month whole', () => {
    const { years, shares } = seededYears(1);
    const sums = new Float64Array(DAY_TYPES);
    for (let i = 0; i < shares.length; i++) sums[i % DAY_TYPES]! += shares[i]! / (12 * years);
    for (const sum of sums) expect(Math.abs(sum - 0.2)).toBeLessThan(0.015);
    expect(sums.reduce((all, sum) => all + sum, 0)).toBeCloseTo(1, 9);
  });

  it('keep the month’s mean, whatever its days give', () => {
    const drawn = seededYears(1);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 11 }),
        fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: DAY_TYPES, maxLength: DAY_TYPES }),
        (month0, days) => {
          const mean = days.reduce((sum, day) => sum + day, 0) / DAY_TYPES;
          const means = drawnMeans(drawn, month0, days);
          expect(means.reduce((sum, one) => sum + one, 0) / means.length).toBeCloseTo(mean, 9);
        },
      ),
    );
  });

  it('spread single months by a fourth to a half of what days differ', () => {
    const byType = [1, 2, 3, 4, 5];
    const { poor, typical, good } = monthPercentiles(seededYears(1), 3, byType);
    expect(poor).toBeLessThan(typical);
    expect(typical).toBeLessThan(good);
    expect(Math.abs(typical - 3)).toBeLessThan(0.2);
    const days = Math.sqrt(2) * 1.28 * 2;
    expect((good - poor) / days).toBeGreaterThan(0.15);
    expect((good - poor) / days).toBeLessThan(0.5);
  });
});
