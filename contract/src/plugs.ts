/** Timer plugs: where one is reached, what it is asked and told over HTTP, and what is known of it. */
import type { PlugTold } from '@dulvan/core';
import { z } from 'zod';
import { id, instant, line, name, wholeWithin, within } from './fields';
import { programmeSchema } from './plan-schemas';

export const MOST_PLUGS = 100;
/** Where a plug keeps its timer, below its own address: GET tells, PUT sets clock and programme and tells again. */
export const PLUG_TIMER_PATH = '/timer';

const part = '(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)';
/** Addresses that routers give out at home, and this machine itself. */
const AT_HOME = new RegExp(
  `^http://(?:localhost|127\\.${part}\\.${part}\\.${part}|10\\.${part}\\.${part}\\.${part}` +
    `|192\\.168\\.${part}\\.${part}|172\\.(?:1[6-9]|2\\d|3[01])\\.${part}\\.${part})(?::(\\d{1,5}))?$`,
);

/** Nothing beyond the grower's own four walls is ever asked. */
const address = line(60)
  .transform((given) => given.toLowerCase().replace(/\/+$/, ''))
  .refine((given) => {
    const found = AT_HOME.exec(given);
    return found !== null && (found[1] === undefined || (Number(found[1]) >= 1 && Number(found[1]) <= 65535));
  }, 'An address in your own network, such as http://192.168.1.20 or http://192.168.1.20:8080.');

export const newPlugSchema = z.strictObject({ name, circuitId: id, address });
export type NewPlug = z.infer<typeof newPlugSchema>;

/** What the clock on the wall shows. */
const wallClock = z.strictObject({
  month: wholeWithin(1, 12, ''),
  minute: wholeWithin(0, 1439, 'minutes after midnight'),
});

/** What a plug tells of itself. */
export const plugToldSchema = z.strictObject({
  clock: wallClock,
  on: z.boolean(),
  watts: within(0, 20_000, 'W').nullable(),
  programme: programmeSchema,
}) satisfies z.ZodType<PlugTold>;

/** What a plug is sent. */
export const plugOrderSchema = z.strictObject({ clock: wallClock, programme: programmeSchema });
export type PlugOrder = z.infer<typeof plugOrderSchema>;

/** Why a plug takes nothing, in its own words. */
export const plugRefusalSchema = z.object({ reason: line(200) });

/** What went wrong when a plug was last asked: it does not answer, answers what cannot be read, or takes nothing. */
export const PLUG_TROUBLES = ['silent', 'nonsense', 'refuses'] as const;

export const plugSchema = z.strictObject({
  id,
  name: z.string(),
  circuitId: id,
  address: z.string(),
  /** Whether the grower lets Dulvan set it. */
  armed: z.boolean(),
  madeAt: instant,
  /** When it was last asked. */
  triedAt: instant.nullable(),
  /** When it last told something, and what. */
  toldAt: instant.nullable(),
  told: plugToldSchema.nullable(),
  /** When its clock and programme were last set. */
  sentAt: instant.nullable(),
  trouble: z.enum(PLUG_TROUBLES).nullable(),
  /** The plug's own reason where it refuses. */
  reason: z.string().nullable(),
});
export type Plug = z.infer<typeof plugSchema>;

export const armingSchema = z.strictObject({ armed: z.boolean() });
