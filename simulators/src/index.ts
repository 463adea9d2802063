/** npm run simulate -- loggers: stand-ins for devices, against a server that is running. */
import { endpoints } from '@dulvan/contract';
import { parseArgs } from 'node:util';
import { LoggerSimulator, MANNERS, letIn, type SimulatedLogger } from './loggers';

const HELP = `npm run simulate -- loggers [--server http://127.0.0.1:4780] [--home sail-loft] [--every 60]
Four loggers of warmth and humidity send to the server: an honest one, one that drifts, one that drops out, one that lies.
  --every  seconds between two samples of each`;

const { positionals, values } = parseArgs({
  allowPositionals: true,
  options: {
    server: { type: 'string', default: 'http://127.0.0.1:4780' },
    home: { type: 'string' },
    every: { type: 'string', default: '60' },
  },
});

async function loggersIn(server: string, homeId: string | undefined) {
  const homes = endpoints.listHomes.response.parse(await (await fetch(`${server}/api/homes`)).json());
  const home = homes.find(({ id }) => homeId === undefined || id === homeId);
  if (!home) throw new Error(homeId ? `There is no home “${homeId}” there.` : 'There is no home there yet.');
  const { facts } = endpoints.getHome.response.parse(await (await fetch(`${server}/api/homes/${home.id}`)).json());
  const [room] = facts.rooms;
  if (!room) throw new Error('That home has no room for a logger to hang in.');
  const loggers = MANNERS.map((manner): SimulatedLogger => ({
    name: `Stand-in, ${manner.replace('-', ' ')}`,
    manner,
    roomId: room.id,
  }));
  return { homeId: home.id, loggers };
}

async function main(): Promise<void> {
  const every = Number(values.every);
  if (positionals[0] !== 'loggers' || !(every >= 0.1)) {
    console.error(HELP);
    process.exitCode = 2;
    return;
  }
  const { homeId, loggers } = await loggersIn(values.server, values.home);
  const now = Date.now();
  const running = await Promise.all(
    loggers.map(async (logger) => new LoggerSimulator(logger, now, await letIn(values.server, homeId, logger))),
  );
  console.warn(`${running.length} loggers send to ${values.server}, each every ${every} s (stop them with Ctrl-C)`);
  const measure = () => void Promise.all(running.map((logger) => logger.measure(Date.now())));
  measure();
  setInterval(measure, every * 1000);
}

main().catch((error: Error) => {
  console.error(error.message);
  process.exitCode = 1;
});
