/**
 * Stand-ins for timer plugs: each keeps a clock and a programme and speaks as a real one would, over HTTP on this machine.
 */
import { PLUG_TIMER_PATH, plugOrderSchema, endpoints, type PlugOrder } from '@dulvan/contract';
import { civilDateOf, isBurning, burningIn, minuteOfCivilDay, type PlugTold, type TimerMonths } from '@dulvan/core';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** How a plug fails its grower, if it does. */
export const PLUG_MANNERS = ['honest', 'drifting', 'losing-power', 'refusing', 'talking-nonsense'] as const;
export type PlugManner = (typeof PLUG_MANNERS)[number];

export interface SimulatedPlug {
  readonly name: string;
  readonly manner: PlugManner;
  readonly timeZone: string;
  /** What hangs on it, W. */
  readonly watts: number;
}

const MINUTE_MS = 60_000;
/** A drifting clock gains so much of the time that passes: two minutes an hour, so that one need not wait for weeks. */
const DRIFT_SHARE = 1 / 30;
/** One that loses power is without it for two minutes of every ten; its clock stands still meanwhile. */
const POWERLESS = { everyMs: 10 * MINUTE_MS, forMs: 2 * MINUTE_MS } as const;
/** Why a refusing one takes nothing. */
const LOCKED = 'Locked by the switch on its side.';
/** What one talks that has lost its wits. */
const NONSENSE = { clock: 'noon', on: 'maybe', watts: -4 };

const LARGEST_ORDER = 20_000;

/** Whether a plug has power at a moment. */
export const hasPower = (manner: PlugManner, atMs: number, sinceMs: number): boolean =>
  manner !== 'losing-power' || (atMs - sinceMs) % POWERLESS.everyMs < POWERLESS.everyMs - POWERLESS.forMs;

/** How long its clock has stood still for want of power. */
const stoodStillMs = (sinceMs: number, atMs: number): number =>
  Math.floor((atMs - sinceMs) / POWERLESS.everyMs) * POWERLESS.forMs;

export class PlugSimulator {
  private programme: readonly TimerMonths[] = [];
  /** When its clock was last set, and by how much that was off. */
  private setMs: number;
  private offMs = 0;
  private server: Server | null = null;

  constructor(
    private readonly plug: SimulatedPlug,
    private readonly now: () => number = Date.now,
    private readonly sinceMs: number = now(),
  ) {
    this.setMs = sinceMs;
  }

  /** What its clock takes the time to be. */
  private clockMs(): number {
    const at = this.now();
    const { manner } = this.plug;
    if (manner === 'drifting') return at + this.offMs + (at - this.setMs) * DRIFT_SHARE;
    if (manner === 'losing-power') {
      const lost = stoodStillMs(this.sinceMs, at) - stoodStillMs(this.sinceMs, this.setMs);
      return at + this.offMs - lost;
    }
    return at + this.offMs;
  }

  told(): PlugTold {
    const at = this.clockMs();
    const { timeZone, watts } = this.plug;
    const clock = { month: civilDateOf(at, timeZone).month, minute: minuteOfCivilDay(at, timeZone) };
    const timer = { onMinute: 0, offMinute: 0, months: [], programme: this.programme };
    const on = isBurning(timer, clock.month, clock.minute);
    return { clock, on, watts: on ? watts * burningIn(timer, clock.month).level : 0, programme: this.programme };
  }

  private take({ clock, programme }: PlugOrder): void {
    const { timeZone } = this.plug;
    const at = this.now();
    this.setMs = at;
    // It knows minutes, no zone: what it is told is what its clock shows from then on.
    this.offMs = (clock.minute - minuteOfCivilDay(at, timeZone)) * MINUTE_MS;
    this.programme = programme;
  }

  /** Listens on this machine alone. @param port 0 for any that is free @returns its address */
  async listen(port: number): Promise<string> {
    const server = createServer((request, response) => void this.answer(request, response));
    this.server = server;
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject);
      server.listen(port, '127.0.0.1', resolve);
    });
    return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  }

  async close(): Promise<void> {
    const { server } = this;
    if (!server) return;
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  }

  private async answer(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const { manner } = this.plug;
    // Without power nothing answers, and nothing says so.
    if (!hasPower(manner, this.now(), this.sinceMs)) return void request.socket.destroy();
    const send = (status: number, body: object) => {
      response.writeHead(status, { 'Content-Type': 'application/json' });
      response.end(JSON.stringify(body));
    };
    if (request.url !== PLUG_TIMER_PATH) return send(404, { reason: 'Ask for my timer.' });
    if (manner === 'talking-nonsense') return send(200, NONSENSE);
    if (request.method !== 'PUT') return send(200, this.told());
    if (manner === 'refusing') return send(409, { reason: LOCKED });
    const order = plugOrderSchema.safeParse(await jsonOf(request));
    if (!order.success) return send(400, { reason: 'No order that I know.' });
    this.take(order.data);
    return send(200, this.told());
  }
}

async function jsonOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const piece of request) {
    text += String(piece);
    if (text.length > LARGEST_ORDER) return null;
  }
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Tells the server where a plug of a timer is, unless it knows one of that timer. It is for the grower to arm it. */
export async function plugIn(
  server: string,
  homeId: string,
  given: { name: string; circuitId: string; address: string },
) {
  const path = `${server}/api/homes/${homeId}/plugs`;
  const known = endpoints.plugs.response.parse(await (await fetch(path)).json());
  if (known.some(({ circuitId, address }) => circuitId === given.circuitId || address === given.address)) return;
  const headers = { 'Content-Type': 'application/json' };
  const made = await fetch(path, { method: 'POST', headers, body: JSON.stringify(given) });
  if (!made.ok) throw new Error(`The server took no plug: ${await made.text()}`);
}
