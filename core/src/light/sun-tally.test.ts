/** Sums of the sun's steps, on a year made of a few steps whose sums are known by heart. */
import type { SkyYear } from '../sky';
import { addPlace, addStep, emptyTally, sameHour } from './sun-tally';

/** Two days of January (31 days), three quarter hours of nine o'clock each; two day types, the brighter one second. */
const TYPES = 2;
const sky = {
  dayTypes: TYPES,
  stepMinutes: 15,
  daysInMonth: [31],
  bin: Uint16Array.from([9, 9, 9, 9, 9, 9]),
  slot: Uint8Array.from([0, 1, 2, 1, 2, 3]),
  dni: Float32Array.from([100, 400, 100, 400, 100, 400, 50, 800, 50, 800, 50, 800]),
  dniMost: Float32Array.from([400, 400, 400, 800, 800, 800]),
} as unknown as SkyYear;

const QUARTER_OF_A_DAY_OF_JANUARY = 0.25 / 31;

function tallied(steps: readonly number[], onLeaf = 0.5, shine = 1) {
  const tally = emptyTally(1, TYPES);
  let hourSum = 0;
  steps.forEach((step, i) => {
    hourSum = addStep(tally, 0, sky, step, onLeaf, shine, i === 0 ? -1 : steps[i - 1]!, hourSum);
  });
  return tally;
}

describe('the tally of the sun', () => {
  it('sums each day type apart, spread over the days of its month', () => {
    const { energy } = tallied([0, 1, 2]);
    expect(energy[0]).toBeCloseTo(3 * 100 * 0.5 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
    expect(energy[1]).toBeCloseTo(3 * 400 * 0.5 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
  });

  it('takes the strongest hour of one day, on its brightest type', () => {
    expect(tallied([0, 1, 2]).strongest[0]).toBeCloseTo((3 * 400 * 0.5) / 4, 9);
    expect(tallied([3, 4, 5]).strongest[0]).toBeCloseTo((3 * 800 * 0.5) / 4, 9);
  });

  it('begins a new hour with a new day, even when the later quarters are what is left of it', () => {
    // Quarter 0 of the first day and quarters 2 and 3 of the second: together they would look like one hour.
    expect(tallied([0, 4, 5]).strongest[0]).toBeCloseTo((2 * 800 * 0.5) / 4, 9);
    expect(sameHour(sky, 0, 2)).toBe(true);
    expect(sameHour(sky, 2, 3)).toBe(false);
    expect(sameHour(sky, 0, 4)).toBe(false);
  });

  it('goes on with an hour of which a board hid a quarter', () => {
    expect(tallied([0, 2]).strongest[0]).toBeCloseTo((2 * 400 * 0.5) / 4, 9);
  });

  it('counts an hour as possible when the disc is seen, as likely when it shines', () => {
    const { possible, likely } = tallied([0, 1, 2, 3, 4, 5]);
    expect(possible[0]).toBeCloseTo(6 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
    // Only the brighter type passes 120 W m-2.
    expect(likely[0]).toBeCloseTo(3 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
  });

  it('counts no hour of sun in deep shade, but still its energy', () => {
    const shaded = tallied([0, 1, 2], 0.2, 0.4);
    expect(shaded.possible[0]).toBe(0);
    expect(shaded.likely[0]).toBe(0);
    expect(shaded.energy[1]).toBeGreaterThan(0);
  });

  it('asks more of the beam to shine through leaves', () => {
    // 400 W m-2 at half the light is above the threshold, 100 at all of it is not.
    expect(tallied([0], 0.5, 0.5).likely[0]).toBeCloseTo(0.5 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
    expect(tallied([0], 0.5, 1).likely[0]).toBeCloseTo(0.5 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
    expect(tallied([3], 0.5, 0.5).likely[0]).toBeCloseTo(0.5 * QUARTER_OF_A_DAY_OF_JANUARY, 9);
  });

  it('is added place by place: energies and hours sum, the strongest stays', () => {
    const into = emptyTally(3, TYPES);
    addPlace(into, 2, tallied([0, 1, 2]), 0, TYPES);
    addPlace(into, 2, tallied([3, 4, 5]), 0, TYPES);
    const both = tallied([0, 1, 2, 3, 4, 5]);
    expect(into.energy[5]).toBeCloseTo(both.energy[1]!, 9);
    expect(into.possible[2]).toBeCloseTo(both.possible[0]!, 9);
    expect(into.strongest[2]).toBe(both.strongest[0]);
    expect(Array.from(into.energy.slice(0, 4))).toEqual([0, 0, 0, 0]);
  });
});
