/** npm run simulate -- loggers | plugs: stand-ins for devices, against a server that is running. */
import { endpoints } from '@dulvan/contract';
import { wattsByCircuit } from '@dulvan/core';
import { parseArgs } from 'node:util';
import { LoggerSimulator, MANNERS, letIn, type SimulatedLogger } from './loggers';
import { PLUG_MANNERS, PlugSimulator, plugIn } from './plugs';

const HELP = `npm run simulate -- loggers [--server http://127.0.0.1:4780] [--home sail-loft] [--every 60]
Four loggers of warmth and humidity send to the server: an honest one, one that drifts, one that drops out, one that lies.
  --every  seconds between two samples of each

npm run simulate -- plugs [--server http://127.0.0.1:4780] [--home sail-loft] [--port 4791]
A timer plug for each timer of the home, on ports from that one on: an honest one, one whose clock drifts, one that loses
power, one that refuses, one that talks nonsense. The server is told of those it does not know; arming is the grower's.`;

const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: {
    server: { type: 'string', default: 'http://127.0.0.1:4780' },
    home: { type: 'string' },
    every: { type: 'string', default: '60' },
    port: { type: 'string', default: '4791' },
  },
});

async function homeAt(server: string, homeId: string | undefined) {
  const homes = endpoints.listHomes.response.parse(await (await fetch(`${server}/api/homes`)).json());
  const home = homes.find(({ id }) => homeId === undefined || id === homeId);
  if (!home) throw new Error(homeId ? `There is no home “${homeId}” there.` : 'There is no home there yet.');
  return endpoints.getHome.response.parse(await (await fetch(`${server}/api/homes/${home.id}`)).json()).facts;
}

async function simulateLoggers(): Promise<void> {
  const every = Number(values.every);
  const { home, rooms } = await homeAt(values.server, values.home);
  const [room] = rooms;
  if (!room) throw new Error('That home has no room for a logger to hang in.');
  const loggers = MANNERS.map((manner): SimulatedLogger => ({
    name: `Stand-in, ${manner.replace('-', ' ')}`,
    manner,
    roomId: room.id,
  }));
  const now = Date.now();
  const running = await Promise.all(
    loggers.map(async (logger) => new LoggerSimulator(logger, now, await letIn(values.server, home.id, logger))),
  );
  console.warn(`${running.length} loggers send to ${values.server}, each every ${every} s (stop them with Ctrl-C)`);
  const measure = () => void Promise.all(running.map((logger) => logger.measure(Date.now())));
  measure();
  setInterval(measure, every * 1000);
}

async function simulatePlugs(): Promise<void> {
  const facts = await homeAt(values.server, values.home);
  const watts = wattsByCircuit(facts);
  for (const [i, circuit] of facts.circuits.entries()) {
    const manner = PLUG_MANNERS[i % PLUG_MANNERS.length]!;
    const plug = { name: `Stand-in plug, ${manner.replace('-', ' ')}`, manner, timeZone: facts.home.timeZone };
    const simulator = new PlugSimulator({ ...plug, watts: watts.get(circuit.id) ?? 0 });
    const address = await simulator.listen(Number(values.port) + i);
    await plugIn(values.server, facts.home.id, { name: plug.name, circuitId: circuit.id, address });
  }
  console.warn(`${facts.circuits.length} plugs from port ${values.port} on (stop them with Ctrl-C)`);
}

async function main(): Promise<void> {
  const [which] = positionals;
  if (which === 'loggers' && Number(values.every) >= 0.1) return simulateLoggers();
  if (which === 'plugs' && Number(values.port) > 0 && Number(values.port) < 65_000) return simulatePlugs();
  console.error(HELP);
  process.exitCode = 2;
}

main().catch((error: Error) => {
  console.error(error.message);
  process.exitCode = 1;
});
