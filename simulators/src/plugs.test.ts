/** Stand-in plugs: each keeps what it is told, and fails as real ones do. */
import { PLUG_TIMER_PATH, plugToldSchema } from '@dulvan/contract';
import { MINUTE_MS, type PlugTold } from '@dulvan/core';
import { PlugSimulator, hasPower, type PlugManner } from './plugs';

const START = Date.UTC(2026, 10, 20, 9, 0);
const PROGRAMME = [{ months: [11], spans: [{ onMinute: 480, offMinute: 1200 }], level: 0.5 }];

/** A plug that listens, a clock to turn, and ways to speak to it. */
async function plugOf(manner: PlugManner) {
  const time = { now: START };
  const given = { name: 'Shelf', manner, timeZone: 'Europe/London', watts: 80 };
  const plug = new PlugSimulator(given, () => time.now);
  const address = await plug.listen(0);
  const say = (method: string, body?: object) =>
    fetch(address + PLUG_TIMER_PATH, { method, ...(body === undefined ? {} : { body: JSON.stringify(body) }) });
  const told = async (): Promise<PlugTold> => plugToldSchema.parse(await (await say('GET')).json());
  return { plug, time, say, told };
}

const ORDER = { clock: { month: 11, minute: 540 }, programme: PROGRAMME };

it('keeps its programme and switches by it', async () => {
  const { plug, time, say, told } = await plugOf('honest');
  expect(await told()).toMatchObject({ on: false, watts: 0, programme: [] });
  expect((await say('PUT', ORDER)).status).toBe(200);
  expect(await told()).toEqual({ clock: ORDER.clock, on: true, watts: 40, programme: PROGRAMME });
  time.now += 12 * 60 * MINUTE_MS;
  expect(await told()).toMatchObject({ clock: { minute: 1260 }, on: false, watts: 0 });
  expect((await say('PUT', { ...ORDER, programme: 'all day' })).status).toBe(400);
  await plug.close();
});

it('takes the time it is told, and drifts from it where it drifts', async () => {
  const { plug, time, say, told } = await plugOf('drifting');
  time.now += 5 * 60 * MINUTE_MS;
  expect((await told()).clock.minute).toBe(840 + 10);
  await say('PUT', { ...ORDER, clock: { month: 11, minute: 840 } });
  expect((await told()).clock.minute).toBe(840);
  time.now += 60 * MINUTE_MS;
  expect((await told()).clock.minute).toBe(902);
  await plug.close();
});

it('is away without power, and behind when it is back', async () => {
  const { plug, time, say, told } = await plugOf('losing-power');
  time.now += 9 * MINUTE_MS;
  expect(hasPower('losing-power', time.now, START)).toBe(false);
  await expect(say('GET')).rejects.toThrow();
  time.now += 2 * MINUTE_MS;
  expect((await told()).clock.minute).toBe(540 + 11 - 2);
  await plug.close();
});

it('refuses, and talks nonsense, as told', async () => {
  const refusing = await plugOf('refusing');
  const reply = await refusing.say('PUT', ORDER);
  expect([reply.status, await reply.json()]).toEqual([409, { reason: 'Locked by the switch on its side.' }]);
  expect((await refusing.told()).programme).toEqual([]);
  await refusing.plug.close();
  const mad = await plugOf('talking-nonsense');
  expect(plugToldSchema.safeParse(await (await mad.say('GET')).json()).success).toBe(false);
  await mad.plug.close();
});
