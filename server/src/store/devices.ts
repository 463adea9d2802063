/** Devices that send samples: let in by a token of which the hash alone is kept. */
import {
  MOST_DEVICES,
  POSTED_QUANTITIES,
  type Device,
  type NewDevice,
  type PostedSamples,
  type Samples,
} from '@dulvan/contract';
import { HOUR_MS } from '@dulvan/core';
import { and, asc, count, eq } from 'drizzle-orm';
import { createHash, randomBytes } from 'node:crypto';
import type { Reader, Writer } from './database';
import { refuse } from './refused';
import { devices } from './schema';
import { addSeries, appendSamples } from './series';

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const TOKEN_BYTES = 24;
/** A clock may be wrong by so much; a sample from later still tells nothing. */
const AHEAD_MS = HOUR_MS;

type Row = typeof devices.$inferSelect;
const deviceOf = ({ homeId: _home, tokenHash: _hash, ...device }: Row): Device => device;

export function listDevices(reader: Reader, homeId: string): Device[] {
  return reader
    .select()
    .from(devices)
    .where(eq(devices.homeId, homeId))
    .orderBy(asc(devices.madeAt))
    .all()
    .map(deviceOf);
}

/** Lets a device in; its token is told here and nowhere else. */
export function addDevice(writer: Writer, homeId: string, given: NewDevice, at: number) {
  const [held] = writer.select({ devices: count() }).from(devices).where(eq(devices.homeId, homeId)).all();
  if (held!.devices >= MOST_DEVICES) throw refuse(413, `A home lets in at most ${MOST_DEVICES} loggers.`);
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  const id = randomBytes(9).toString('base64url');
  const row = { ...given, id, homeId, tokenHash: hashOf(token), madeAt: at, lastSeenAt: null, battery: null };
  writer.insert(devices).values(row).run();
  return { device: deviceOf(row), token };
}

/** Shuts a device out. What it sent stays. */
export function removeDevice(writer: Writer, homeId: string, id: string): Device {
  const key = and(eq(devices.homeId, homeId), eq(devices.id, id));
  const row = writer.select().from(devices).where(key).get();
  if (!row) throw refuse(404, 'There is no such logger.');
  writer.delete(devices).where(key).run();
  return deviceOf(row);
}

/** Keeps what a device sends, all of it or nothing; how many values that were. */
export function takePosted(writer: Writer, token: string, { samples, battery }: PostedSamples, at: number): number {
  const row = writer
    .select()
    .from(devices)
    .where(eq(devices.tokenHash, hashOf(token)))
    .get();
  if (!row) throw refuse(401, 'This token lets no logger in.');
  const late = samples.findIndex((sample) => sample.at > at + AHEAD_MS);
  if (late >= 0) throw refuse(422, `Sample ${late + 1} is from later than now: set the logger's clock.`);
  let kept = 0;
  for (const quantity of POSTED_QUANTITIES) {
    const own = samples.flatMap((sample) => {
      const value = sample[quantity];
      return value === undefined ? [] : [{ at: sample.at, value }];
    });
    if (own.length === 0) continue;
    const { id, name, homeId, roomId, spotId } = row;
    const seriesId = `${id}-${quantity}`;
    addSeries(writer, homeId, { id: seriesId, name, quantity, roomId, spotId, plantId: null });
    const given: Samples = { at: own.map((one) => one.at), values: own.map(({ value }) => value) };
    appendSamples(writer, homeId, seriesId, given);
    kept += own.length;
  }
  writer
    .update(devices)
    .set({ lastSeenAt: at, ...(battery === undefined ? {} : { battery }) })
    .where(eq(devices.id, row.id))
    .run();
  return kept;
}
