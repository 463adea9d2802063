/** Devices that send samples by themselves: a logger with a token of its own, told once, by which it is let in. */
import { z } from 'zod';
import { NAME_LIMIT, id, instant, line, within } from './fields';
import { QUANTITIES, type Quantity } from './series';

export const MOST_DEVICES = 50;
export const MOST_SAMPLES_A_POST = 5000;

export const newDeviceSchema = z
  .strictObject({
    name: line(NAME_LIMIT).min(1, 'Give it a name.'),
    roomId: id.nullable(),
    spotId: id.nullable(),
  })
  .refine(({ roomId, spotId }) => (roomId === null) !== (spotId === null), {
    path: ['roomId'],
    message: 'Say where it hangs: in a room, or at a spot.',
  });
export type NewDevice = z.infer<typeof newDeviceSchema>;

export const deviceSchema = z.strictObject({
  id,
  name: z.string(),
  roomId: id.nullable(),
  spotId: id.nullable(),
  madeAt: instant,
  lastSeenAt: instant.nullable(),
  /** Per cent; null where it has not told. */
  battery: z.number().nullable(),
});
export type Device = z.infer<typeof deviceSchema>;

/** A device with its token, which is told this once and kept as a hash alone. */
export const madeDeviceSchema = z.strictObject({ device: deviceSchema, token: z.string() });

const quantity = (name: Quantity) => {
  const { from, to, unit } = QUANTITIES[name];
  return within(from, to, unit).optional();
};

/** What a device sends: any of these quantities at each moment. A moment sent twice counts once. */
export const postedSamplesSchema = z.strictObject({
  battery: within(0, 100, '%').optional(),
  samples: z
    .array(
      z
        .strictObject({
          at: instant,
          temperature: quantity('temperature'),
          humidity: quantity('humidity'),
          ppfd: quantity('ppfd'),
          illuminance: quantity('illuminance'),
        })
        .refine(({ at: _at, ...values }) => Object.values(values).some((value) => value !== undefined), {
          message: 'A sample holds a value.',
        }),
    )
    .min(1)
    .max(MOST_SAMPLES_A_POST, `At most ${MOST_SAMPLES_A_POST} samples at once.`),
});
export type PostedSamples = z.infer<typeof postedSamplesSchema>;
export const POSTED_QUANTITIES = ['temperature', 'humidity', 'ppfd', 'illuminance'] as const satisfies Quantity[];
