/** What a plan may be told, and what is refused, with the field it is about. */
import { PLAIN_STEP, PLAIN_TIMER } from '@dulvan/core';
import { circuitSchema } from './growing-schemas';
import {
  planSettingsSchema,
  planStepSchema,
  programmeSchema,
  supplySchema,
  tariffSchema,
  wishSchema,
} from './plan-schemas';

const month = (months: number[], spans: [number, number][] = [[480, 600]], level = 1) => ({
  months,
  spans: spans.map(([onMinute, offMinute]) => ({ onMinute, offMinute })),
  level,
});
interface Parsed {
  readonly success: boolean;
  readonly error?: { readonly issues: readonly { readonly message: string; readonly path: readonly PropertyKey[] }[] };
}
const reasons = ({ error }: Parsed) => error?.issues.map(({ message }) => message) ?? [];
const fields = ({ error }: Parsed) => error?.issues.map(({ path }) => String(path[0])) ?? [];

describe('a programme', () => {
  it('has each month once, and stretches of a day one after the other', () => {
    expect(programmeSchema.safeParse([month([1, 2]), month([3], [])]).success).toBe(true);
    expect(reasons(programmeSchema.safeParse([month([1, 2]), month([2])]))).toEqual(['Each month once.']);
    const crossed = [
      month(
        [1],
        [
          [480, 700],
          [600, 800],
        ],
      ),
    ];
    expect(reasons(programmeSchema.safeParse(crossed))[0]).toContain('in order');
    expect(reasons(programmeSchema.safeParse([month([1], [[700, 480]])]))[0]).toContain('go off after they come on');
  });

  it('dims no further than is seen, and no brighter than full', () => {
    expect(programmeSchema.safeParse([month([1], [[0, 60]], 0)]).success).toBe(false);
    expect(programmeSchema.safeParse([month([1], [[0, 60]], 1.2)]).success).toBe(false);
  });
});

describe('a wish', () => {
  const wish = { id: 'w', homeId: 'h', plantId: null, spotId: null, standId: null, group: '', care: 'usual' };
  it.each([
    ['stays', ['plantId', 'spotId']],
    ['keep-off', ['plantId', 'standId']],
    ['together', ['plantId', 'group']],
    ['apart', ['plantId']],
    ['leave-out', ['standId']],
    ['matters', ['plantId']],
  ])('%s names what it is about', (kind, needed) => {
    expect(fields(wishSchema.safeParse({ ...wish, kind }))).toEqual(needed);
    const whole = { ...wish, kind, plantId: 'p', spotId: 's', standId: 't', group: 'herbs' };
    expect(wishSchema.safeParse(whole).success).toBe(true);
  });
});

describe('electricity', () => {
  const timer = {
    ...PLAIN_TIMER,
    ...{ id: 'c', homeId: 'h', name: 'Timer', onMinute: 0, offMinute: 60, months: [1] },
  };
  it('a circuit of no watts, or of more than a house has, is refused with the range', () => {
    expect(reasons(circuitSchema.safeParse({ ...timer, limitW: 0 }))).toEqual(['From 1 to 5000 W.']);
    expect(reasons(circuitSchema.safeParse({ ...timer, limitW: 10_000 }))).toEqual(['From 1 to 5000 W.']);
    const supply = { id: 's', homeId: 'h', name: 'Kitchen', limitW: 3600, alsoW: 0 };
    expect(supplySchema.safeParse(supply).success).toBe(true);
    expect(fields(supplySchema.safeParse({ ...supply, limitW: 0 }))).toEqual(['limitW']);
  });

  it('a fade takes two hours at most, in whole minutes', () => {
    expect(circuitSchema.safeParse({ ...timer, fadeMinutes: 120 }).success).toBe(true);
    expect(fields(circuitSchema.safeParse({ ...timer, fadeMinutes: 121 }))).toEqual(['fadeMinutes']);
    expect(fields(circuitSchema.safeParse({ ...timer, fadeMinutes: 0.5 }))).toEqual(['fadeMinutes']);
  });

  it('a price is for some weekday and no less than nothing', () => {
    const band = { id: 't', homeId: 'h', weekdays: [1], fromMinute: 0, toMinute: 1440, pricePerKwh: 0.3 };
    expect(tariffSchema.safeParse(band).success).toBe(true);
    expect(reasons(tariffSchema.safeParse({ ...band, weekdays: [] }))).toEqual(['One weekday at least.']);
    expect(fields(tariffSchema.safeParse({ ...band, pricePerKwh: -1 }))).toEqual(['pricePerKwh']);
  });
});

it('a year has one arrangement, two or four', () => {
  const settings = {
    ...{ id: 's', homeId: 'h', arrangements: 2, moves: 'few', years: 'poor', household: ['cats'], currency: 'kr' },
    ...{ hardening: 'gentle', curtains: 'leave', humidifiers: 'may-change' },
  };
  expect(planSettingsSchema.safeParse(settings).success).toBe(true);
  expect(planSettingsSchema.safeParse({ ...settings, arrangements: 3 }).success).toBe(false);
  expect(planSettingsSchema.safeParse({ ...settings, hardening: 'at-once' }).success).toBe(false);
  expect(planSettingsSchema.safeParse({ ...settings, household: ['cats', 'cats'] }).success).toBe(false);
});

it('a step is for a day that there is', () => {
  const step = {
    ...{ id: 's', planId: 'p', order: 0, on: '2026-11-30', kind: 'carry', plantId: 'q', fromSpotId: null },
    ...{ ...PLAIN_STEP, plantId: 'q', spotId: 'r', doneOn: null },
  };
  expect(planStepSchema.safeParse(step).success).toBe(true);
  expect(planStepSchema.safeParse({ ...step, on: '2026-02-30' }).success).toBe(false);
  expect(planStepSchema.safeParse({ ...step, kind: 'dance' }).success).toBe(false);
  const hang = { ...step, kind: 'hang', plantId: null, spotId: null, lampId: 'l' };
  expect(planStepSchema.safeParse({ ...hang, aboveM: 0.35 }).success).toBe(true);
  expect(planStepSchema.safeParse({ ...hang, aboveM: 12 }).success).toBe(false);
  const drawn = { curtainId: 'sheer', months: [4], fromMinute: 660, toMinute: 960 };
  const curtain = { ...step, kind: 'curtain', plantId: null, spotId: null, windowId: 'w' };
  expect(planStepSchema.safeParse({ ...curtain, curtains: [drawn] }).success).toBe(true);
  expect(planStepSchema.safeParse({ ...curtain, curtains: [drawn, drawn, drawn] }).success).toBe(false);
  const humidifier = { ...step, kind: 'humidifier', plantId: null, spotId: null, airThingId: 't' };
  expect(planStepSchema.safeParse({ ...humidifier, setRh: 60 }).success).toBe(true);
  expect(planStepSchema.safeParse({ ...humidifier, setRh: 100 }).success).toBe(false);
});
