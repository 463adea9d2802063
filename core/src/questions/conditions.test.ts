/** What a spot gives in a month, put together from daylight, lamps and air. */
import { HomeEngine } from '../home';
import { ask } from './index';
import type { Circuit, HomeFacts } from '../facts';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';

const YEAR = 2026;
const answer = (facts: HomeFacts) =>
  new Map(
    ask(new HomeEngine(smallKnowledge), facts, 'home', { year: YEAR, month: 11 }).spots.map((spot) => [
      spot.spotId,
      spot,
    ]),
  );
const before = answer(smallHome);
const months = (spotId: string, of = before) => of.get(spotId)!.conditions;
const withCircuit = (given: Partial<Circuit>): HomeFacts => ({
  ...smallHome,
  circuits: smallHome.circuits.map((circuit) => ({ ...circuit, ...given })),
});

describe('a month at a spot', () => {
  it('is the sum of its shares', () => {
    for (const { conditions } of before.values()) {
      for (const { dli, shares } of conditions) {
        const { lamps, ...daylight } = shares;
        const sum = [...Object.values(daylight), ...Object.values(lamps)].reduce((all, part) => all + part, 0);
        expect(sum).toBeCloseTo(dli, 6);
      }
    }
  });

  it('gives by the hour what it gives by the day', () => {
    for (const { conditions } of before.values()) {
      for (const { dli, byHour } of conditions)
        expect((byHour.reduce((all, ppfd) => all + ppfd, 0) * 3600) / 1e6).toBeCloseTo(dli, 6);
    }
  });

  it('lies between its dull and its bright days and years', () => {
    for (const { conditions } of before.values()) {
      for (const { dli, dliDullDay, dliPoorYear, dliGoodYear, dliBrightDay } of conditions) {
        expect(dliDullDay).toBeLessThanOrEqual(dliPoorYear + 1e-9);
        expect(dliPoorYear).toBeLessThanOrEqual(dli + 1e-9);
        expect(dli).toBeLessThanOrEqual(dliGoodYear + 1e-9);
        expect(dliGoodYear).toBeLessThanOrEqual(dliBrightDay + 1e-9);
      }
    }
  });

  it('has a day and a night that fit into a day, and no more sun than is possible', () => {
    for (const { conditions } of before.values()) {
      for (const { dayH, longestNightH, sunHoursLikely, sunHoursPossible } of conditions) {
        expect(dayH + longestNightH).toBeLessThanOrEqual(24 + 1e-9);
        expect(sunHoursLikely).toBeLessThanOrEqual(sunHoursPossible + 1e-9);
      }
    }
  });

  it('gets from a lamp in proportion to its hours, and nothing in months without its timer', () => {
    const longer = answer(withCircuit({ offMinute: 480 + 16 * 60 }));
    const winter = answer(withCircuit({ months: [11, 12, 1] }));
    for (let i = 0; i < 12; i++) {
      const lamp = months('dim')[i]!.shares.lamps.l!;
      expect(months('dim', longer)[i]!.shares.lamps.l).toBeCloseTo(lamp * 2, 6);
      expect(months('dim', winter)[i]!.shares.lamps.l).toBeCloseTo([10, 11, 0].includes(i) ? lamp : 0, 6);
    }
  });

  it('has its day lengthened by a lamp that shines on it, and its night broken by one at midnight', () => {
    const january = months('dim')[0]!;
    const evening = months('dim', answer(withCircuit({ onMinute: 960, offMinute: 1320 })))[0]!;
    expect(evening.dayH).toBeGreaterThan(january.dayH);
    const midnight = months('dim', answer(withCircuit({ onMinute: 0, offMinute: 30 })))[0]!;
    expect(midnight.longestNightH).toBeLessThan(evening.longestNightH + 6);
    expect(midnight.longestNightH).toBeLessThan(january.longestNightH);
  });

  it('keeps the same light when things are listed in another order', () => {
    const turned: HomeFacts = {
      ...smallHome,
      rooms: [...smallHome.rooms].reverse(),
      spots: [...smallHome.spots].reverse(),
      stands: [...smallHome.stands].reverse(),
      tiers: [...smallHome.tiers].reverse(),
      plants: [...smallHome.plants].reverse(),
    };
    const after = answer(turned);
    for (const [spotId, { conditions }] of before)
      conditions.forEach((condition, i) => expect(after.get(spotId)!.conditions[i]!.dli).toBeCloseTo(condition.dli, 9));
  });

  it('behind a shell, black inside, has that share of the light of the room it stands in', () => {
    const black = { floorReflectance: 0, wallReflectance: 0, ceilingReflectance: 0 };
    const behind = (shellTransmittance: number) =>
      answer({
        ...smallHome,
        rooms: smallHome.rooms.map((room) => (room.id === 'box' ? { ...room, ...black, shellTransmittance } : room)),
      });
    const [dim, clear] = [behind(0.4), behind(0.8)];
    for (let i = 0; i < 12; i++) {
      const share = months('boxed', dim)[i]!.dli / months('boxed', clear)[i]!.dli;
      // A darker shell also shades the room's walls a little.
      expect(share).toBeLessThanOrEqual(0.5);
      expect(share).toBeGreaterThan(0.48);
    }
  });
});
