import reference from '../../reference/psychro.json';
import { airYear, dewPoint, pressureAt, saturationPressure, vapourPressureDeficit } from './index';

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
