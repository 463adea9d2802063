/** Plugs looked after: asked always, set only where the grower armed them, and never believed without being asked. */
import { type Plug } from '@dulvan/contract';
import { civilDateOf, minuteOfCivilDay, patch, yearOfTimer, type PlugTold, type TimerMonths } from '@dulvan/core';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { HOME, NOW, keptStore, refusal, type Kept } from '../store/kept.fixture';
import { tendPlugs } from './tend';

const TIMER = 'cabinet-timer';

/** A plug in the test's hand: what it answers, and what it was sent. */
interface Scripted {
  readonly address: string;
  readonly orders: { readonly clock: PlugTold['clock']; readonly programme: TimerMonths[] }[];
  told: unknown;
  /** Status and body with which it answers an order; null takes it. */
  refusal: readonly [number, object] | null;
}

let kept: Kept;
let server: Server;
let plug: Scripted;

const wall = () => {
  const { timeZone } = kept.store.home(HOME).facts.home;
  return { month: civilDateOf(NOW, timeZone).month, minute: minuteOfCivilDay(NOW, timeZone) };
};

async function scripted(): Promise<Scripted> {
  server = createServer((request, response) => {
    let text = '';
    request.on('data', (piece) => (text += String(piece)));
    request.on('end', () => {
      const isOrder = request.method === 'PUT';
      if (isOrder) plug.orders.push(JSON.parse(text));
      const [status, body] = isOrder && plug.refusal ? plug.refusal : [200, plug.told];
      if (isOrder && !plug.refusal) plug.told = { ...(plug.told as object), ...JSON.parse(text) };
      response.writeHead(status, { 'Content-Type': 'application/json', Location: '/elsewhere' });
      response.end(typeof body === 'string' ? body : JSON.stringify(body));
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return { address, orders: [], told: { clock: wall(), on: false, watts: null, programme: [] }, refusal: null };
}

beforeEach(async () => {
  kept = await keptStore();
  plug = await scripted();
});
afterEach(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  kept.remove();
});

const care = () => tendPlugs({ store: kept.store, now: () => NOW, everyMs: null });
const added = () => kept.store.addPlug(HOME, { name: 'Rack plug', circuitId: TIMER, address: plug.address });
const burning = () => {
  const timer = kept.store.home(HOME).facts.circuits.find(({ id }) => id === TIMER)!;
  return yearOfTimer(timer).filter(({ spans }) => spans.length > 0);
};

/** A plug that was asked once and armed then. */
async function armed(): Promise<Plug> {
  const { id } = await added();
  await care().check(HOME, id);
  return care().arm(HOME, id, true);
}

it('asks one that is not armed, and sends it nothing', async () => {
  const { id } = await added();
  const checked = await care().check(HOME, id);
  expect(checked).toMatchObject({ armed: false, toldAt: NOW, trouble: null, sentAt: null, told: plug.told });
  expect(plug.orders).toEqual([]);
});

it('sets one that is armed to the year of its timer, reads it back, and leaves it alone then', async () => {
  const set = await armed();
  expect(plug.orders).toEqual([{ clock: wall(), programme: burning() }]);
  expect(set).toMatchObject({ armed: true, sentAt: NOW, trouble: null, told: { programme: burning() } });
  await care().check(HOME, set.id);
  expect(plug.orders).toHaveLength(1);
});

it('sends what the timer says now, after it was changed, and after the server started again', async () => {
  const { id } = await armed();
  const programme = [{ months: [1, 2], spans: [{ onMinute: 300, offMinute: 600 }], level: 1 }];
  await kept.save([patch('circuits', TIMER, { programme })]);
  const store = await kept.restarted();
  const checked = await tendPlugs({ store, now: () => NOW, everyMs: null }).check(HOME, id);
  expect(plug.orders[1]!.programme).toEqual(programme);
  expect(checked.told!.programme).toEqual(programme);
});

it('is set no more once it is disarmed', async () => {
  const { id } = await armed();
  await care().arm(HOME, id, false);
  plug.told = { clock: wall(), on: false, watts: null, programme: [] };
  expect(await care().check(HOME, id)).toMatchObject({ armed: false, told: { programme: [] } });
  expect(plug.orders).toHaveLength(1);
});

it('tells why one takes nothing, and keeps what it told before', async () => {
  plug.refusal = [409, { reason: 'Locked by hand.' }];
  const set = await armed();
  expect(set).toMatchObject({ trouble: 'refuses', reason: 'Locked by hand.', sentAt: null, told: { programme: [] } });
});

it.each([
  ['no JSON', 'noon'],
  ['another shape', { clock: { month: 13, minute: -5 }, on: 'maybe' }],
  ['a programme that crosses itself', { ...{ clock: { month: 1, minute: 0 }, on: true, watts: 3 }, programme: [{}] }],
  ['too much', 'x'.repeat(30_000)],
])('takes no nonsense: %s', async (_what, told) => {
  const { id } = await added();
  await care().check(HOME, id);
  const before = kept.store.plug(HOME, id).told;
  plug.told = told;
  expect(await care().check(HOME, id)).toMatchObject({ trouble: 'nonsense', told: before });
  expect((await refusal(() => care().arm(HOME, id, true))).message).toContain('does not answer');
});

it('tells of one that is silent', async () => {
  const { id } = await kept.store.addPlug(HOME, { name: 'Gone', circuitId: TIMER, address: 'http://127.0.0.1:9' });
  expect(await care().check(HOME, id)).toMatchObject({ trouble: 'silent', triedAt: NOW, toldAt: null });
});

it('does not follow where one points', async () => {
  const { id } = await armed();
  plug.refusal = [302, {}];
  plug.told = { clock: wall(), on: false, watts: null, programme: [] };
  expect(await care().check(HOME, id)).toMatchObject({ trouble: 'nonsense' });
});

it('never switches lamps that draw more than the label of their timer allows', async () => {
  const { id } = await armed();
  await kept.save([patch('circuits', TIMER, { limitW: 5 })]);
  plug.told = { clock: wall(), on: false, watts: null, programme: [] };
  await care().check(HOME, id);
  expect(plug.orders).toHaveLength(1);
  await care().arm(HOME, id, false);
  expect((await refusal(() => care().arm(HOME, id, true))).message).toContain('more than its label allows');
});

it('keeps one plug a timer and one timer a plug, and names the field', async () => {
  await added();
  const again = await refusal(() =>
    kept.store.addPlug(HOME, { name: 'B', circuitId: TIMER, address: 'http://10.0.0.2' }),
  );
  expect(again).toMatchObject({ status: 409, refusal: { problems: [{ field: 'circuitId' }] } });
  const [other] = kept.store.home(HOME).facts.circuits.filter(({ id }) => id !== TIMER);
  const same = await refusal(() =>
    kept.store.addPlug(HOME, { name: 'B', circuitId: other!.id, address: plug.address }),
  );
  expect(same.refusal.problems).toMatchObject([{ field: 'address' }]);
  expect(
    (await refusal(() => kept.store.addPlug(HOME, { name: 'B', circuitId: 'none', address: 'http://10.0.0.2' })))
      .status,
  ).toBe(422);
});
