/** Loggers of a home: its series by what measured them where; their samples; and files of samples on their way in. */
import {
  endpoints,
  samplesIn,
  sumsIn,
  type NewSeries,
  type Quantity,
  type Sample,
  type SampleSum,
  type Series,
  type Device,
} from '@dulvan/contract';
import {
  measuredLight,
  measuredMonths,
  roomIdOfSpot,
  type HomeFacts,
  type HourMean,
  type MeasuredLight,
  type MeasuredMonth,
} from '@dulvan/core';
import {
  Broken,
  LoggerFile,
  type LoggedBatch,
  type LoggedSummary,
  type Measured,
  type TableReading,
} from '@dulvan/formats';
import { useState } from 'react';
import { nanoid } from 'nanoid';
import { BASE, ask } from './api';
import { useFetched, type Fetched } from './fetched';
import { LOGGERS as WORDS } from './state-words';

/** The series of one instrument at one place. */
export interface Logger {
  /** The key of its first series. */
  readonly id: string;
  readonly name: string;
  readonly roomId: string | null;
  readonly spotId: string | null;
  readonly series: Readonly<Partial<Record<Quantity, Series>>>;
}

/** Series of one name and place belong to one instrument. */
export function loggersOf(series: readonly Series[]): Logger[] {
  const loggers = new Map<string, { first: Series; series: Partial<Record<Quantity, Series>> }>();
  for (const one of series) {
    if (one.plantId !== null) continue;
    const key = JSON.stringify([one.name, one.roomId, one.spotId]);
    const known = loggers.get(key);
    if (known) known.series[one.quantity] ??= one;
    else loggers.set(key, { first: one, series: { [one.quantity]: one } });
  }
  return [...loggers.values()].map(({ first: { id, name, roomId, spotId }, series: all }) => ({
    id,
    name,
    roomId,
    spotId,
    series: all,
  }));
}

/** The loggers of a home, asked for once. */
export async function listedLoggers(homeId: string): Promise<Logger[]> {
  const answer = await ask('listSeries', { params: { homeId } });
  if (!answer.ok) throw new Error(answer.refusal.message);
  return loggersOf(answer.value);
}

/** The loggers of a home. */
export const useLoggers = (homeId: string): Fetched<Logger[]> => useFetched(listedLoggers, homeId);

async function devicesOf(key: string): Promise<Device[]> {
  const [homeId] = JSON.parse(key) as [string, number];
  const answer = await ask('devices', { params: { homeId } });
  if (!answer.ok) throw new Error(answer.refusal.message);
  return answer.value;
}

/** Loggers that send by themselves, and a way to ask for them again. */
export function useDevices(homeId: string): { readonly devices: Fetched<Device[]>; readonly again: () => void } {
  const [round, setRound] = useState(0);
  const devices = useFetched(devicesOf, JSON.stringify([homeId, round]));
  return { devices, again: () => setRound((before) => before + 1) };
}

/** Where loggers send to. */
export const postAddress = (): string => `${BASE || window.location.origin}${endpoints.postSamples.path}`;

/** Lets a logger in; its key, or why not. */
export async function letLoggerIn(
  homeId: string,
  place: LoggerPlace,
): Promise<{ readonly token: string } | { readonly refused: string }> {
  const made = await ask('addDevice', { params: { homeId }, body: place });
  return made.ok ? { token: made.value.token } : { refused: made.refusal.message };
}

/** Shuts a logger out; why not, or null. */
export async function shutLoggerOut(homeId: string, deviceId: string): Promise<string | null> {
  const gone = await ask('removeDevice', { params: { homeId, deviceId } });
  return gone.ok ? null : gone.refusal.message;
}

/** A stretch of time, UTC epoch milliseconds; the end is left out. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

async function bytesOf(homeId: string, seriesId: string, { from, to }: Stretch, step: 'raw' | 'hour' | 'day') {
  const query = { from: String(Math.floor(from)), to: String(Math.ceil(to)), step };
  const answer = await ask('samples', { params: { homeId, seriesId }, query });
  if (!answer.ok) throw new Error(answer.refusal.message);
  return answer.value;
}

/** What is drawn of a series. */
interface Drawn {
  readonly homeId: string;
  readonly seriesId: string | null;
  readonly samples: number;
  readonly stretch: Stretch;
  readonly step: 'raw' | 'hour' | 'day';
}

async function drawnSums(key: string): Promise<readonly SampleSum[]> {
  const { homeId, seriesId, stretch, step } = JSON.parse(key) as Drawn;
  if (seriesId === null) return [];
  const bytes = await bytesOf(homeId, seriesId, stretch, step);
  if (step !== 'raw') return sumsIn(bytes, step);
  return samplesIn(bytes).map(({ at, value }: Sample) => ({ at, count: 1, mean: value, least: value, most: value }));
}

/** Samples one by one as sums of one each, or summed: what a drawing of a stretch needs. */
export function useSamples(
  homeId: string,
  series: Series | undefined,
  stretch: Stretch,
  step: Drawn['step'],
): Fetched<readonly SampleSum[]> {
  const drawn: Drawn = { homeId, seriesId: series?.id ?? null, samples: series?.samples ?? 0, stretch, step };
  return useFetched(drawnSums, JSON.stringify(drawn));
}

/** What a logger measured in its last year, month by month and its humidity by the hour. */
export interface LastYear {
  readonly months: readonly MeasuredMonth[];
  readonly humidity: readonly HourMean[];
}

const YEAR_MS = 365 * 86_400_000;

interface AskedYear {
  readonly homeId: string;
  readonly timeZone: string;
  readonly warmId: string | null;
  readonly moistId: string | null;
  readonly to: number;
}

async function yearOf(key: string): Promise<LastYear> {
  const { homeId, timeZone, warmId, moistId, to } = JSON.parse(key) as AskedYear;
  if (warmId === null || moistId === null) return { months: [], humidity: [] };
  const stretch = { from: Math.max(0, to - YEAR_MS), to };
  const hours = async (id: string) => sumsIn(await bytesOf(homeId, id, stretch, 'hour'), 'hour');
  const [warm, moist] = await Promise.all([hours(warmId), hours(moistId)]);
  return { months: measuredMonths(warm, moist, timeZone), humidity: moist };
}

/** A logger's last year, up to its last sample. */
export function useLastYear(
  { id: homeId, timeZone }: HomeFacts['home'],
  { series: { temperature, humidity } }: Logger,
): Fetched<LastYear> {
  const [warmId, moistId] = [temperature?.id ?? null, humidity?.id ?? null];
  const to = Math.max(temperature?.lastAt ?? 0, humidity?.lastAt ?? 0) + 1;
  const asked: AskedYear = { homeId, timeZone, warmId, moistId, to };
  return useFetched(yearOf, JSON.stringify(asked));
}

async function lightOf(key: string): Promise<readonly MeasuredLight[]> {
  const { homeId, timeZone, seriesId, to } = JSON.parse(key) as AskedLight;
  if (seriesId === null) return [];
  const stretch = { from: Math.max(0, to - YEAR_MS), to };
  return measuredLight(sumsIn(await bytesOf(homeId, seriesId, stretch, 'hour'), 'hour'), timeZone);
}

interface AskedLight {
  readonly homeId: string;
  readonly timeZone: string;
  readonly seriesId: string | null;
  readonly to: number;
}

/** What a logger of light measured in its last year, month by month. */
export function useLightMonths(
  { id: homeId, timeZone }: HomeFacts['home'],
  series: Series | undefined,
): Fetched<readonly MeasuredLight[]> {
  const asked: AskedLight = { homeId, timeZone, seriesId: series?.id ?? null, to: (series?.lastAt ?? 0) + 1 };
  return useFetched(lightOf, JSON.stringify(asked));
}

/** Where and by what name samples are kept. */
export interface LoggerPlace {
  readonly name: string;
  readonly roomId: string | null;
  readonly spotId: string | null;
}

/** The room a logger hangs in, its own or its spot's. */
export const roomOfLogger = (facts: HomeFacts, { roomId, spotId }: LoggerPlace): string | null =>
  spotId === null ? roomId : roomIdOfSpot(facts, spotId);

export interface Importing {
  readonly homeId: string;
  readonly file: Blob;
  readonly reading: TableReading;
  readonly place: LoggerPlace;
  /** Loggers there are: samples of one of the same name and place are added to it. */
  readonly loggers: readonly Logger[];
  readonly onShare: (share: number) => void;
  readonly signal: AbortSignal;
}

export type Imported =
  | { readonly state: 'done'; readonly summary: LoggedSummary }
  | { readonly state: 'stopped'; readonly summary: LoggedSummary }
  | { readonly state: 'refused'; readonly line: number | null; readonly message: string };

const PIECE_BYTES = 1 << 19;
/** Samples of one request. */
const BATCH = 20_000;

/** The series that samples of a place go to, begun where there is none. */
function seriesFor({ homeId, place, loggers }: Importing) {
  const known = loggers.find(
    ({ name, roomId, spotId }) => name === place.name && roomId === place.roomId && spotId === place.spotId,
  );
  const ids = new Map<Measured, string>();
  return async (quantity: Measured): Promise<string> => {
    const held = ids.get(quantity) ?? known?.series[quantity]?.id;
    if (held) return held;
    const body: NewSeries = { id: nanoid(), ...place, plantId: null, quantity };
    const begun = await ask('addSeries', { params: { homeId }, body });
    if (!begun.ok) throw new Error(begun.refusal.message);
    ids.set(quantity, begun.value.id);
    return begun.value.id;
  };
}

/**
 * Reads a file twice, in pieces: once to see that every line can be read, then to send it. Nothing is kept of a file
 * that is broken; what was sent before a stop stays, and is not doubled when the file is imported again.
 */
export async function importLogged(importing: Importing): Promise<Imported> {
  try {
    const checked = await throughFile(importing, 0, 0.3, () => Promise.resolve());
    if (importing.signal.aborted) return { state: 'stopped', summary: checked };
    const idOf = seriesFor(importing);
    const pending = new Map<Measured, LoggedBatch>();
    const send = async (quantity: Measured, { at, values }: LoggedBatch) => {
      const seriesId = await idOf(quantity);
      for (let from = 0; from < at.length; from += BATCH) {
        const body = { at: at.slice(from, from + BATCH), values: values.slice(from, from + BATCH) };
        const sent = await ask('appendSamples', { params: { homeId: importing.homeId, seriesId }, body });
        if (!sent.ok) throw new Error(sent.refusal.message);
      }
    };
    const summary = await throughFile(importing, 0.3, 1, async (taken) => {
      for (const [quantity, batch] of taken) {
        const held = pending.get(quantity);
        const all = held ? { at: held.at.concat(batch.at), values: held.values.concat(batch.values) } : batch;
        if (all.at.length < BATCH) pending.set(quantity, all);
        else {
          pending.delete(quantity);
          await send(quantity, all);
        }
      }
    });
    for (const [quantity, batch] of pending) await send(quantity, batch);
    return { state: importing.signal.aborted ? 'stopped' : 'done', summary };
  } catch (error) {
    if (error instanceof Broken) return { state: 'refused', line: error.line, message: error.message };
    return { state: 'refused', line: null, message: error instanceof Error ? error.message : WORDS.notRead };
  }
}

/** Goes through a file piece by piece, telling how far it is between two shares. */
async function throughFile(
  { file, reading, onShare, signal }: Importing,
  fromShare: number,
  toShare: number,
  onTaken: (taken: ReturnType<LoggerFile['taken']>) => Promise<void>,
): Promise<LoggedSummary> {
  const table = new LoggerFile(reading);
  const decoder = new TextDecoder('utf-8');
  for (let from = 0; from < file.size && !signal.aborted; from += PIECE_BYTES) {
    const to = Math.min(file.size, from + PIECE_BYTES);
    const isEnd = to === file.size;
    const bytes = await file.slice(from, to).arrayBuffer();
    table.push(decoder.decode(bytes, { stream: !isEnd }), isEnd ? 'end' : 'middle');
    await onTaken(table.taken());
    onShare(fromShare + ((toShare - fromShare) * to) / file.size);
  }
  return table.summary();
}
