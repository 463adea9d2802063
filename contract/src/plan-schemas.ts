/** Schemas of what a plan may do, keeps to, costs and led to. */
import {
  ARRANGEMENTS,
  CARES,
  HARDENING_PACES,
  HOUSEHOLD,
  MAY_BE_SET,
  MOVE_EFFORTS,
  PLANNED_YEARS,
  STEP_KINDS,
  WISH_KINDS,
  type AcceptedPlan,
  type PlanSettings,
  type PlanStep,
  type Supply,
  type TariffBand,
  type TimerMonths,
  type Wish,
} from '@dulvan/core';
import { z } from 'zod';
import { id, isoDate, line, metres, minuteOfDay, months, name, share, wholeWithin, within } from './fields';
import { curtainsSchema, setRh } from './place-schemas';

export const supplySchema = z.strictObject({
  id,
  homeId: id,
  name,
  limitW: within(10, 25_000, 'W'),
  alsoW: within(0, 25_000, 'W'),
}) satisfies z.ZodType<Supply>;

export const tariffSchema = z.strictObject({
  id,
  homeId: id,
  weekdays: z
    .array(wholeWithin(1, 7, ''))
    .min(1, 'One weekday at least.')
    .max(7)
    .refine((list) => new Set(list).size === list.length, 'Each weekday once.')
    .readonly(),
  fromMinute: minuteOfDay,
  toMinute: minuteOfDay,
  pricePerKwh: within(0, 1000, 'a kWh'),
}) satisfies z.ZodType<TariffBand>;

const spanSchema = z
  .strictObject({ onMinute: minuteOfDay, offMinute: minuteOfDay })
  .refine(({ onMinute, offMinute }) => offMinute > onMinute, {
    path: ['offMinute'],
    message: 'The lamps must go off after they come on, the same day (24:00 at the latest).',
  });

/** Times a day that a timer comes on. */
const MOST_SPANS = 4;

const timerMonthsSchema = z.strictObject({
  months,
  spans: z
    .array(spanSchema)
    .max(MOST_SPANS, `At most ${MOST_SPANS} times a day.`)
    .refine(
      (spans) => spans.every(({ onMinute }, i) => i === 0 || onMinute >= spans[i - 1]!.offMinute),
      'Times of a day in order, each after the one before.',
    )
    .readonly(),
  level: share(0.05, 1),
}) satisfies z.ZodType<TimerMonths>;

export const programmeSchema = z
  .array(timerMonthsSchema)
  .max(12)
  .refine((list) => {
    const all = list.flatMap((entry) => entry.months);
    return new Set(all).size === all.length;
  }, 'Each month once.')
  .readonly();

export const planSettingsSchema = z.strictObject({
  id,
  homeId: id,
  arrangements: z.literal(ARRANGEMENTS),
  moves: z.enum(MOVE_EFFORTS),
  years: z.enum(PLANNED_YEARS),
  household: z
    .array(z.enum(HOUSEHOLD))
    .max(HOUSEHOLD.length)
    .refine((list) => new Set(list).size === list.length, 'Each once.')
    .readonly(),
  hardening: z.enum(HARDENING_PACES),
  curtains: z.enum(MAY_BE_SET),
  humidifiers: z.enum(MAY_BE_SET),
  currency: line(6),
}) satisfies z.ZodType<PlanSettings>;

/** What each kind of wish must name. */
const WISH_NEEDS: Readonly<Record<Wish['kind'], readonly (keyof Wish)[]>> = {
  stays: ['plantId', 'spotId'],
  'keep-off': ['plantId', 'standId'],
  together: ['plantId', 'group'],
  apart: ['plantId'],
  'leave-out': ['standId'],
  matters: ['plantId'],
};

const FIELD_WORDS: Readonly<Partial<Record<keyof Wish, string>>> = {
  plantId: 'Name a plant.',
  spotId: 'Name a spot.',
  standId: 'Name a stand.',
  group: 'Give the group a name.',
};

const wishShape = z.strictObject({
  id,
  homeId: id,
  kind: z.enum(WISH_KINDS),
  plantId: id.nullable(),
  spotId: id.nullable(),
  standId: id.nullable(),
  group: line(40),
  care: z.enum(CARES),
});

export const wishSchema = wishShape.superRefine((wish, context) => {
  for (const field of WISH_NEEDS[wish.kind])
    if (!wish[field]) context.addIssue({ code: 'custom', path: [field], message: FIELD_WORDS[field]! });
}) satisfies z.ZodType<Wish>;

const kWh = within(0, 1_000_000, 'kWh');
const verdict = within(0, 1, '');

export const planSchema = z.strictObject({
  id,
  homeId: id,
  acceptedOn: isoDate,
  promised: z
    .array(z.strictObject({ plantId: id, before: verdict.nullable(), after: verdict }))
    .max(5000)
    .readonly(),
  kWhBefore: kWh,
  kWhAfter: kWh,
}) satisfies z.ZodType<AcceptedPlan>;

export const planStepSchema = z.strictObject({
  id,
  planId: id,
  order: wholeWithin(0, 20_000, ''),
  on: isoDate,
  kind: z.enum(STEP_KINDS),
  plantId: id.nullable(),
  fromSpotId: id.nullable(),
  spotId: id.nullable(),
  circuitId: id.nullable(),
  programme: programmeSchema,
  lampId: id.nullable(),
  aboveM: metres(0.02, 8).nullable(),
  fromAboveM: metres(0.02, 8).nullable(),
  windowId: id.nullable(),
  curtains: curtainsSchema,
  fromCurtains: curtainsSchema.nullable(),
  airThingId: id.nullable(),
  setRh: setRh.nullable(),
  doneOn: isoDate.nullable(),
}) satisfies z.ZodType<PlanStep>;
