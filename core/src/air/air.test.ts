import fc from 'fast-check';
import reference from '../../reference/psychro.json';
import {
  absoluteHumidity,
  airYear,
  dewPoint,
  enthalpy,
  humidityRatio,
  pressureAt,
  relativeHumidity,
  saturationPressure,
  saturationRatio,
  specificVolume,
  vapourPressureDeficit,
  wetBulb,
} from './index';

describe('moist air against the reference cases', () => {
  it.each(reference.cases)('$id', (c) => {
    const slack = c.svp_kPa * 0.004;
    expect(Math.abs(saturationPressure(c.dry_bulb_C) - c.svp_kPa)).toBeLessThan(slack);
    expect(Math.abs(vapourPressureDeficit(c.dry_bulb_C, c.rh_pct) - c.vpd_kPa)).toBeLessThan(slack);
    expect(Math.abs(dewPoint(c.dry_bulb_C, c.rh_pct) - c.dew_point_C)).toBeLessThan(c.dew_point_C > 0 ? 0.15 : 0.3);
    for (const [offset, wanted] of Object.entries(c.leaf_vpd_kPa)) {
      expect(Math.abs(vapourPressureDeficit(c.dry_bulb_C, c.rh_pct, Number(offset)) - wanted)).toBeLessThan(slack);
    }
  });

  it.each(reference.cases)('$id within a thousandth', (c) => {
    const { dry_bulb_C: celsius, rh_pct: rh, pressure_Pa: pressure } = c;
    const ratio = humidityRatio(celsius, rh, pressure);
    const near = (value: number, wanted: number) => expect(Math.abs(value / wanted - 1)).toBeLessThan(0.001);
    near(saturationPressure(celsius), c.svp_kPa);
    near(ratio * 1000, c.humidity_ratio_g_per_kg);
    near(absoluteHumidity(celsius, rh), c.abs_humidity_g_m3);
    near(specificVolume(celsius, ratio, pressure), c.specific_volume_m3_per_kg_dry);
    expect(Math.abs(enthalpy(celsius, ratio) - c.enthalpy_kJ_per_kg_dry)).toBeLessThan(0.02);
    expect(Math.abs(wetBulb(celsius, rh, pressure) - c.wet_bulb_C)).toBeLessThan(0.02);
  });

  it('says the same by its water and by its relative humidity', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 60_000, max: 105_000, noNaN: true }),
        (celsius, rh, pressure) => {
          const ratio = humidityRatio(celsius, rh, pressure);
          expect(relativeHumidity(celsius, ratio, pressure)).toBeCloseTo(rh, 9);
          expect(ratio).toBeLessThanOrEqual(saturationRatio(celsius, pressure) * (1 + 1e-12));
          const wet = wetBulb(celsius, rh, pressure);
          expect(wet).toBeGreaterThanOrEqual(dewPoint(celsius, rh) - 0.01);
          expect(wet).toBeLessThanOrEqual(celsius);
        },
      ),
    );
  });

  it('thins with height', () => {
    expect(pressureAt(0)).toBe(101325);
    expect(pressureAt(1500)).toBeCloseTo(84556, -2);
  });
});

describe('a year of air from what was stated', () => {
  const air = (month: number, dayC: number) => ({
    id: `m${month}`,
    roomId: 'r',
    month,
    dayC,
    nightC: dayC - 3,
    dayRh: 50,
    nightRh: 55,
  });

  it('reads between stated months, round the turn of the year', () => {
    const year = airYear([air(7, 25), air(1, 19)]);
    expect(year[0]).toMatchObject({ dayC: 19, basis: 'stated' });
    expect(year[3]).toMatchObject({ dayC: 22, basis: 'between' });
    expect(year[9]!.dayC).toBeCloseTo(22, 9);
  });

  it('says when nothing was stated', () => {
    expect(airYear([]).every((month) => month.basis === 'assumed')).toBe(true);
    expect(airYear([air(5, 21)]).every((month) => month.dayC === 21)).toBe(true);
  });
});
