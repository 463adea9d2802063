/** Air that has settled, against balances worked apart from this code. */
import fc from 'fast-check';
import reference from '../../reference/air.json';
import { paneInside, steadyHeat, steadyMoisture, trayEvaporation, waterForHumidity, type SteadyRoom } from './index';

type Case = (typeof reference.cases)[number];

const roomOf = (c: Case): SteadyRoom => ({
  volumeM3: c.volume_m3,
  airChangesH: c.ach_per_h,
  indoorC: c.indoor_C,
  outdoorC: c.outdoor_C,
  outdoorRh: c.outdoor_rh_pct,
  pressurePa: c.pressure_Pa,
});
/** The tray's span is judged with half of it and a little more on either side, as the reference asks. */
const WIDER = 1.3;

describe.each(reference.cases)('$id $name', (c) => {
  const room = roomOf(c);

  it('settles at its moisture', () => {
    const { rh, settlesGH, dryAirKgH } = steadyMoisture(room, c.source_g_h);
    expect(Math.abs(rh - c.indoor_rh_pct)).toBeLessThan(0.2);
    expect(Math.abs(settlesGH - c.condensing_g_h)).toBeLessThan(0.03 * c.condensing_g_h + 0.2);
    expect(Math.abs(dryAirKgH / c.dry_air_flow_kg_h - 1)).toBeLessThan(0.002);
  });

  it('needs its water for the humidity that is wanted', () => {
    const needed = waterForHumidity(room, c.target_rh_pct);
    expect(Math.abs(needed - c.total_moisture_needed_g_h)).toBeLessThan(0.03 * Math.abs(needed) + 0.2);
    expect(Math.abs(Math.max(0, needed - c.source_g_h) - c.humidifier_g_h)).toBeLessThan(0.03 * c.humidifier_g_h + 0.2);
  });

  it('loses its heat', () => {
    const heat = steadyHeat(room, c.UA_W_K, Math.min(100, c.indoor_rh_pct));
    const near = (value: number, wanted: number) =>
      expect(Math.abs(value - wanted)).toBeLessThan(0.03 * Math.abs(wanted) + 0.1);
    near(heat.throughWallsW, c.heat.fabric_W);
    near(heat.airingW, c.heat.ventilation_sensible_W);
    near(heat.airingWithWaterW, c.heat.ventilation_total_enthalpy_W);
  });

  it('has its pane', () => {
    const pane = paneInside(room, c.indoor_rh_pct, c.glass_U, c.rsi);
    expect(Math.abs(pane.surfaceC - c.glass.inside_surface_C)).toBeLessThan(0.05);
    expect(Math.abs(pane.marginK - c.glass.margin_K)).toBeLessThan(0.3);
    expect(pane.marginK < 0).toBe(c.glass.condenses);
    expect(Math.abs(pane.mostRh - c.glass.max_indoor_rh_pct_before_condensation)).toBeLessThan(0.5);
  });

  it('takes from a tray what pools suggest', () => {
    for (const [tray, rh] of [
      [c.tray_at_indoor_state, c.indoor_rh_pct],
      [c.tray_at_50pct, 50],
    ] as const) {
      const air = { airC: c.indoor_C, rh, pressurePa: c.pressure_Pa };
      const { leastGH, mostGH } = trayEvaporation(tray.tray_area_m2, tray.water_C, air);
      const [least, most] = tray.range_g_h as [number, number];
      const [low, high] = [Math.min(least / WIDER, least * WIDER), Math.max(most / WIDER, most * WIDER)];
      for (const told of [leastGH, mostGH]) {
        expect(told).toBeGreaterThanOrEqual(low - 1e-9);
        expect(told).toBeLessThanOrEqual(high + 0.01);
      }
    }
  });
});

describe('laws of settled air', () => {
  const rooms = fc.record({
    volumeM3: fc.double({ min: 5, max: 200, noNaN: true }),
    airChangesH: fc.double({ min: 0.1, max: 10, noNaN: true }),
    indoorC: fc.double({ min: 15, max: 28, noNaN: true }),
    outdoorC: fc.double({ min: -15, max: 14, noNaN: true }),
    outdoorRh: fc.double({ min: 30, max: 100, noNaN: true }),
    pressurePa: fc.constant(101_325),
  });
  const sources = fc.double({ min: 0, max: 600, noNaN: true });

  it('give back by water what they took by humidity', () => {
    fc.assert(
      fc.property(rooms, sources, (room, source) => {
        const { rh } = steadyMoisture(room, source);
        if (rh < 99.9) expect(waterForHumidity(room, rh)).toBeCloseTo(source, 4);
      }),
    );
  });

  it('carry off all that is given off, by air and by what settles', () => {
    fc.assert(
      fc.property(rooms, sources, (room, source) => {
        const { rh, settlesGH } = steadyMoisture(room, source);
        if (rh < 100) expect(settlesGH).toBe(0);
        else expect(settlesGH + waterForHumidity(room, 100)).toBeCloseTo(source, 3);
      }),
    );
  });

  it('are never drier for more water, nor moister for more airing with drier air', () => {
    fc.assert(
      fc.property(rooms, sources, (room, source) => {
        const { rh } = steadyMoisture(room, source);
        expect(steadyMoisture(room, source + 20).rh).toBeGreaterThanOrEqual(rh - 1e-9);
        expect(steadyMoisture({ ...room, airChangesH: room.airChangesH * 1.5 }, source).rh).toBeLessThanOrEqual(
          rh + 1e-9,
        );
      }),
    );
  });
});
