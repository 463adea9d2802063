/**
 * Stand-ins for loggers of warmth and humidity: each speaks to the server as a real one would, over HTTP, with its
 * token.
 */
import { endpoints, type PostedSamples } from '@dulvan/contract';

/** How a logger fails its grower, if it does. */
export const MANNERS = ['honest', 'drifting', 'dropping-out', 'lying'] as const;
export type Manner = (typeof MANNERS)[number];

export interface SimulatedLogger {
  readonly name: string;
  readonly manner: Manner;
  readonly roomId: string;
}

export interface Truth {
  readonly celsius: number;
  readonly rh: number;
}

/** The air of a heated room by the clock: what an honest sensor would tell. @param atMs UTC epoch milliseconds */
export function truthAt(atMs: number): Truth {
  const hour = (atMs / 3_600_000) % 24;
  const day = hour >= 7 && hour < 22 ? 1 : 0;
  const celsius = 17 + 3 * day + 0.4 * Math.sin((2 * Math.PI * (hour - 9)) / 24);
  return { celsius, rh: 56 - 6 * day + 2 * Math.sin((2 * Math.PI * hour) / 6) };
}

const DAY_MS = 86_400_000;
/** A drifting hygrometer gains so many points a day. */
const DRIFT_A_DAY = 0.25;
/** A lying one tells these, whatever the air is. */
const LIE: Truth = { celsius: 21.5, rh: 50 };
/** One that drops out is away for two hours of every six, and sends what it kept when it is back. */
const AWAY = { everyMs: 6 * 3_600_000, forMs: 2 * 3_600_000 } as const;

const rounded = (value: number, step: number) => Math.round(value / step) * step;

/** What a logger tells of a moment. @param sinceMs when it was first switched on */
export function toldBy(manner: Manner, atMs: number, sinceMs: number): Truth {
  if (manner === 'lying') return LIE;
  const { celsius, rh } = truthAt(atMs);
  const drift = manner === 'drifting' ? (DRIFT_A_DAY * (atMs - sinceMs)) / DAY_MS : 0;
  return { celsius: Number(rounded(celsius, 0.1).toFixed(1)), rh: Math.min(100, Math.round(rh + drift)) };
}

/** Whether a logger reaches the server at a moment. */
export const isReachable = (manner: Manner, atMs: number): boolean =>
  manner !== 'dropping-out' || atMs % AWAY.everyMs >= AWAY.forMs;

type Sample = PostedSamples['samples'][number];
const MOST_KEPT = 5000;

/** A logger that measures, keeps what it could not send, and sends it in one batch when it is back. */
export class LoggerSimulator {
  private kept: Sample[] = [];

  constructor(
    private readonly logger: SimulatedLogger,
    private readonly sinceMs: number,
    private readonly send: (posted: PostedSamples) => Promise<boolean>,
  ) {}

  /** Samples waiting to be sent. */
  get waiting(): number {
    return this.kept.length;
  }

  async measure(atMs: number): Promise<void> {
    const { celsius, rh } = toldBy(this.logger.manner, atMs, this.sinceMs);
    this.kept.push({ at: Math.floor(atMs), temperature: celsius, humidity: rh });
    // A small memory overwrites its oldest.
    if (this.kept.length > MOST_KEPT) this.kept.shift();
    if (!isReachable(this.logger.manner, atMs)) return;
    const battery = Math.max(5, 100 - ((atMs - this.sinceMs) / DAY_MS) * 0.3);
    const sending = this.kept;
    if (await this.send({ battery: Math.round(battery), samples: sending })) this.kept = [];
  }
}

/** Lets a logger in, and answers how it sends; one of the same name that was there is shut out first. */
export async function letIn(server: string, homeId: string, { name, roomId }: SimulatedLogger) {
  const devices = `${server}/api/homes/${homeId}/devices`;
  const headers = { 'Content-Type': 'application/json' };
  const known = endpoints.devices.response.parse(await (await fetch(devices)).json());
  for (const device of known)
    if (device.name === name) await fetch(`${devices}/${device.id}`, { method: 'DELETE', headers });
  const made = await fetch(devices, { method: 'POST', headers, body: JSON.stringify({ name, roomId, spotId: null }) });
  if (!made.ok) throw new Error(`The server let no logger in: ${await made.text()}`);
  const { token } = endpoints.addDevice.response.parse(await made.json());
  return async (posted: PostedSamples): Promise<boolean> => {
    try {
      const answer = await fetch(`${server}${endpoints.postSamples.path}`, {
        method: 'POST',
        headers: { ...headers, Authorization: `Bearer ${token}` },
        body: JSON.stringify(posted),
      });
      return answer.ok;
    } catch {
      return false;
    }
  };
}
