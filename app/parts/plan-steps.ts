/** Steps of an accepted plan as one would say them, and their days. */
import { curtains } from '@dulvan/catalogue';
import { clockOf, type HomeFacts, type HungCurtain, type PlanStep } from '@dulvan/core';
import { format, parseISO } from 'date-fns';
import { PLAN_STEPS as WORDS } from './part-words';
import { programmeWords } from './timer-words';
import type { Units } from '../state/settings';
import { length, monthsInWords, plantName, spotPlace } from './words';

/** "Monday, 30 November". */
export const dayWords = (day: string): string => format(parseISO(day), 'EEEE, d MMMM');

const nameOf = (facts: HomeFacts, plantId: string | null): string => {
  const plant = facts.plants.find(({ id }) => id === plantId);
  return plant ? plantName(facts, plant) : WORDS.aPlant;
};

/** What sets a curtain or a humidifier: a plan's proposal, or a step of it. */
type Setting =
  | { readonly kind: 'curtain'; readonly windowId: string | null; readonly curtains: PlanStep['curtains'] }
  | { readonly kind: 'humidifier'; readonly airThingId: string | null; readonly setRh: number | null };

/** A step in its lines: what it is about, where from, and where to or to what. */
export interface StepLines {
  readonly what: string;
  readonly from: string | null;
  readonly to: string | null;
}

export function stepLines(facts: HomeFacts, step: PlanStep, units: Units): StepLines {
  const name = nameOf(facts, step.plantId);
  switch (step.kind) {
    case 'carry':
      return { what: name, from: cameFrom(facts, step), to: placeTo(facts, step) };
    case 'timer': {
      const timer = facts.circuits.find(({ id }) => id === step.circuitId)?.name ?? WORDS.aTimer;
      return { what: WORDS.timer(timer), from: null, to: programmeWords(step.programme) };
    }
    case 'hang': {
      const lamp = facts.lamps.find(({ id }) => id === step.lampId);
      const height = step.aboveM === null ? '' : length(step.aboveM, units);
      return { what: WORDS.hang(lamp?.name ?? WORDS.aLamp), from: null, to: WORDS.above(height) };
    }
    case 'curtain':
    case 'humidifier':
      return settingLines(facts, { ...step, kind: step.kind });
    case 'shade':
      return { what: WORDS.shade(name), from: null, to: null };
    case 'unshade':
      return { what: WORDS.unshade(name), from: null, to: null };
  }
}

/** A curtain or humidifier that is set otherwise. */
export function settingLines(facts: HomeFacts, setting: Setting): StepLines {
  if (setting.kind === 'curtain') {
    const window = facts.windows.find(({ id }) => id === setting.windowId)?.name ?? WORDS.aWindow;
    return { what: WORDS.curtain(window), from: null, to: drawnWords(setting.curtains) };
  }
  const thing = facts.airThings.find(({ id }) => id === setting.airThingId)?.name ?? WORDS.aHumidifier;
  return { what: WORDS.humidifier(thing), from: null, to: setting.setRh === null ? null : WORDS.toRh(setting.setRh) };
}

/** How what hangs at a window is drawn: "Sheer curtain drawn from 11:00 to 16:00, April to September". */
export const drawnWords = (hung: readonly HungCurtain[]): string =>
  hung
    .map(({ curtainId, fromMinute, toMinute, months }) => {
      const name = curtains.find(({ id }) => id === curtainId)?.name ?? curtainId;
      return WORDS.drawn(name, clockOf(fromMinute), clockOf(toMinute), monthsInWords(months));
    })
    .join('; ') || WORDS.leftOpen;

/** Where it is taken up; null where it has no place yet. */
function cameFrom(facts: HomeFacts, { plantId, fromSpotId, planId, order }: PlanStep): string | null {
  if (fromSpotId !== null) return WORDS.from(spotPlace(facts, fromSpotId));
  const waits = facts.planSteps.some(
    (other) => other.planId === planId && other.plantId === plantId && other.order < order && other.spotId === null,
  );
  return waits ? WORDS.fromTable : null;
}

const placeTo = (facts: HomeFacts, { spotId }: PlanStep): string =>
  spotId === null ? WORDS.toTable : WORDS.to(spotPlace(facts, spotId));

/** A step in one line. */
export function stepWords(facts: HomeFacts, step: PlanStep, units: Units): string {
  const { what, from, to } = stepLines(facts, step, units);
  if (step.kind === 'carry') return WORDS.carry(what, [from, to].filter(Boolean).join(', '));
  return to === null ? what : `${what}: ${to}`;
}
