/** Timers and steps as one would say them. */
import { useSettings } from '../state/settings';
import { PLAIN_STEP, ALL_MONTHS, PLAIN_TIMER, type Circuit, type HomeFacts, type PlanStep } from '@dulvan/core';
import { shownHome, sunPlant } from '../testing/shown-home';
import { dayWords, stepLines, stepWords } from './plan-steps';
import { programmeWords, timerWords } from './timer-words';

const timer: Circuit = {
  ...{ id: 'c', homeId: 'h', name: 'Timer', onMinute: 480, offMinute: 960, months: [...ALL_MONTHS] },
  ...PLAIN_TIMER,
};

describe('a timer', () => {
  it('that does the same all year is told without months', () => {
    expect(timerWords(timer)).toBe('8:00–16:00');
  });

  it('is told month by month where it differs, off included', () => {
    expect(timerWords({ ...timer, months: [11, 12, 1, 2] })).toBe(
      '8:00–16:00 from November to February; off from March to October',
    );
  });

  it('of a programme is told with its split days and its dimming', () => {
    const spans = [
      { onMinute: 360, offMinute: 480 },
      { onMinute: 1020, offMinute: 1440 },
    ];
    const words = programmeWords([{ months: [...ALL_MONTHS], spans, level: 0.75 }]);
    expect(words).toMatch(/^6:00–8:00, 17:00–24:00.* 75 %/);
    expect(programmeWords([{ months: [], spans, level: 1 }])).toBe('');
  });
});

describe('a step', () => {
  const { units } = useSettings.getState();
  const step = (fields: Partial<PlanStep> & Pick<PlanStep, 'kind'>): PlanStep => ({
    ...PLAIN_STEP,
    ...{ id: 's', planId: 'x', order: 2, on: '2026-11-30', plantId: sunPlant.id, doneOn: null, ...fields },
  });

  it('of a carry says who, where from and where to', () => {
    const words = stepWords(shownHome, step({ kind: 'carry', fromSpotId: sunPlant.spotId, spotId: 'bright' }), units);
    expect(words).toMatch(/^Carry Sun plant from Top.*, to Bright/);
  });

  it('of a stopover says the table, on the way to it and from it', () => {
    const there = step({ id: 'there', kind: 'carry', fromSpotId: sunPlant.spotId, order: 1 });
    const back = step({ kind: 'carry', spotId: 'bright' });
    const facts: HomeFacts = { ...shownHome, planSteps: [there, back] };
    expect(stepLines(facts, there, units).to).toMatch(/table/);
    expect(stepLines(facts, back, units).from).toMatch(/table/);
    // A plant that had no place before comes from nowhere.
    expect(stepLines({ ...facts, planSteps: [back] }, back, units).from).toBeNull();
  });

  it('of a timer says when it is to burn', () => {
    const programme = [{ months: [...ALL_MONTHS], spans: [{ onMinute: 360, offMinute: 1200 }], level: 1 }];
    const words = stepWords(shownHome, step({ kind: 'timer', plantId: null, circuitId: 'c', programme }), units);
    expect(words).toMatch(/Timer.*: 6:00–20:00$/);
  });

  it('of a lamp that is hung anew says how high', () => {
    const [lamp] = shownHome.lamps;
    const words = stepWords(shownHome, step({ kind: 'hang', lampId: lamp!.id, aboveM: 0.35 }), units);
    expect(words).toBe(`Hang ${lamp!.name}: 35 cm above its board`);
    expect(stepWords(shownHome, step({ kind: 'hang', lampId: 'gone', aboveM: 0.35 }), units)).toContain('a lamp');
  });

  it('of a window says how its curtains are drawn, or that they are left open', () => {
    const [window] = shownHome.windows;
    const drawn = { curtainId: 'sheer', months: [4, 5, 6], fromMinute: 660, toMinute: 960 };
    const words = (curtains: PlanStep['curtains']) =>
      stepWords(shownHome, step({ kind: 'curtain', plantId: null, windowId: window!.id, curtains }), units);
    expect(words([drawn])).toMatch(/: .*sheer.* drawn from 11:00 to 16:00, from April to June$/i);
    expect(words([])).toBe(`Curtains of ${window!.name}: left open`);
  });

  it('of a humidifier says what it is set to, though it is gone', () => {
    expect(stepWords(shownHome, step({ kind: 'humidifier', airThingId: 'gone', setRh: 60 }), units)).toBe(
      'Set a humidifier: 60 % humidity',
    );
  });

  it('of paper before a plant names the plant', () => {
    for (const kind of ['shade', 'unshade'] as const)
      expect(stepWords(shownHome, step({ kind }), units)).toContain('Sun plant');
  });

  it('whose plant is gone is told all the same', () => {
    expect(stepWords(shownHome, step({ kind: 'shade', plantId: 'gone' }), units)).not.toContain('undefined');
  });

  it('has its day in words', () => {
    expect(dayWords('2026-11-30')).toBe('Monday, 30 November');
  });
});
