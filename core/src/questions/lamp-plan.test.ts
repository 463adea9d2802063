/** A tier under its lamps: its spread, the plan of height and hours, its power. */
import { HomeEngine } from '../home';
import type { HomeFacts } from '../facts';
import { burningFor } from '../lamp';
import { ask, lampPower } from './index';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';

const YEAR = 2026;
const engine = new HomeEngine(smallKnowledge);

describe('a tier under its lamps', () => {
  const field = ask(engine, smallHome, 'tierField', { tierId: 'shelf-1', year: YEAR })!;

  it('has its least, mean and most in order, and its evenness between 0 and 1', () => {
    expect(field.least).toBeLessThan(field.mean);
    expect(field.mean).toBeLessThan(field.most);
    expect(field.uniformity).toBeCloseTo(field.least / field.mean, 9);
    expect(field.reflectedShare).toBeGreaterThan(0);
    expect(field.reflectedShare).toBeLessThan(0.5);
    expect(field.daylightDli).toHaveLength(12);
  });

  it('is planned for its spots: height and hours together give the dimmest spot what is wanted, and pass no peak', () => {
    const wish = { month: 1, wantedDli: 4, peakPpfd: 250, aim: 'least' as const };
    const two: HomeFacts = {
      ...smallHome,
      spots: [...smallHome.spots, { ...smallHome.spots.find(({ id }) => id === 'dim')!, id: 'edge', alongM: 0.12 }],
    };
    const plan = ask(engine, two, 'lampPlan', { tierId: 'shelf-1', wish, year: YEAR })!;
    const best = plan.heights[plan.best!]!;
    expect(best.most).toBeLessThanOrEqual(250);
    expect(Math.min(...best.spots.map(({ dli }) => dli))).toBeCloseTo(4, 6);
    const moved: HomeFacts = {
      ...two,
      lamps: two.lamps.map((lamp) => ({ ...lamp, aboveM: best.aboveM })),
      circuits: two.circuits.map((circuit) => ({ ...circuit, onMinute: 300, offMinute: 300 + best.hours * 60 })),
    };
    for (const { spotId, dli: planned } of best.spots)
      expect(
        ask(engine, moved, 'home', { year: YEAR, month: 11 }).spots.find((spot) => spot.spotId === spotId)!
          .conditions[0]!.dli,
      ).toBeCloseTo(planned, 6);
    for (let i = 1; i < plan.heights.length; i++) expect(plan.heights[i]!.mean).toBeLessThan(plan.heights[i - 1]!.mean);
    const cost = ({ hours, uniformity }: (typeof plan.heights)[number]) => hours * (1.5 - uniformity / 2);
    for (const height of plan.heights.filter(({ refusal }) => refusal === null))
      expect(cost(best)).toBeLessThanOrEqual(cost(height) + 1e-9);
  });

  it('is planned over the tops of its plants', () => {
    const grown: HomeFacts = {
      ...smallHome,
      plants: smallHome.plants.map((plant) => ({ ...plant, spotId: 'dim', heightCm: 38 })),
    };
    const wish = { month: 1, wantedDli: 3, peakPpfd: 2000, aim: 'mean' as const };
    const plan = ask(engine, grown, 'lampPlan', { tierId: 'shelf-1', wish, year: YEAR })!;
    expect(Math.min(...plan.heights.map(({ aboveM }) => aboveM))).toBeGreaterThanOrEqual(0.43);
  });

  it('says when no height will do', () => {
    const dim = ask(engine, smallHome, 'lampPlan', {
      tierId: 'shelf-1',
      wish: { month: 1, wantedDli: 60, peakPpfd: 2000, aim: 'least' },
      year: YEAR,
    })!;
    expect(dim.best).toBeNull();
    expect(dim.heights.every((height) => height.refusal === 'too-long')).toBe(true);
    const tender = ask(engine, smallHome, 'lampPlan', {
      tierId: 'shelf-1',
      wish: { month: 1, wantedDli: 2, peakPpfd: 5, aim: 'least' },
      year: YEAR,
    })!;
    expect(tender.heights.every((height) => height.refusal === 'too-bright')).toBe(true);
    expect(
      ask(engine, smallHome, 'lampPlan', {
        tierId: 'sill-1',
        wish: { month: 1, wantedDli: 2, peakPpfd: 100, aim: 'least' },
        year: YEAR,
      }),
    ).toBeNull();
  });

  it('takes the power of its lamps for their hours', () => {
    expect(lampPower(smallHome, 'shelf-1', 1)).toEqual({ watts: 18, kWhADay: (18 * 8) / 1000 });
  });
});

describe('a timer set to so many hours', () => {
  it('burns about the same middle of the day, in steps of five minutes, and never past midnight', () => {
    const day = { onMinute: 480, offMinute: 960 };
    expect(burningFor(day, 8)).toEqual(day);
    expect(burningFor(day, 10.9)).toEqual({ onMinute: 390, offMinute: 1045 });
    expect(burningFor({ onMinute: 900, offMinute: 1380 }, 14)).toEqual({ onMinute: 600, offMinute: 1440 });
    expect(burningFor(day, 0)).toEqual({ onMinute: 715, offMinute: 720 });
    expect(burningFor(day, 24)).toEqual({ onMinute: 0, offMinute: 1440 });
  });
});
