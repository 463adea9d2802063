/**
 * npm run demo, npm start: makes a fresh clone ready, then serves app and API from this one process until it is told
 * to stop.
 */
import { spawn } from 'node:child_process';
import path from 'node:path';
import { appFolder, checkNode, engineName, ensureBuilt, ensureInstalled, root } from './prepare.mjs';

const args = new Set(process.argv.slice(2));
const demo = args.has('--demo');
const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4780);

checkNode();
if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT must be a number from 0 to 65535; it is ${process.env.PORT}.`);
  process.exit(1);
}
ensureInstalled();
if (!args.has('--api-only')) await ensureBuilt();

/** Stand-ins for loggers or timer plugs, beside the demo. */
function simulate(which, url) {
  const simulator = ['--import', 'tsx', path.join(root, 'simulators/src/index.ts'), which, '--server', url];
  return spawn(process.execPath, simulator, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
}

const { register } = await import('tsx/cjs/api');
register();
const { createRequire } = await import('node:module');
const { startServer } = createRequire(import.meta.url)('../server/src/index.ts');
try {
  const running = await startServer({
    host,
    port,
    file: path.resolve(process.env.DULVAN_DATA ?? path.join(root, 'data', demo ? 'demo.sqlite' : 'home.sqlite')),
    seed: demo ? 'demo' : 'none',
    state: args.has('--fresh') ? 'fresh' : 'keep',
    app: args.has('--api-only') ? null : appFolder,
    engine: engineName(),
    reach: process.env.DULVAN_OPEN === 'yes' ? 'the-network' : 'this-machine',
    hostNames: (process.env.DULVAN_NAMES ?? '').toLowerCase().split(/[ ,]+/).filter(Boolean),
    devOrigin: process.env.DULVAN_DEV_ORIGIN ?? null,
  });
  console.log(`Dulvan is at ${running.url} (stop it with Ctrl-C)`);
  const standIns = demo && !args.has('--no-devices') ? ['loggers', 'plugs'] : [];
  const devices = standIns.map((which) => simulate(which, running.url));
  let closing = false;
  const stop = async () => {
    if (closing) return;
    closing = true;
    for (const device of devices) device.kill();
    await running.close();
    process.exit(0);
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
} catch (error) {
  console.error(error.code ? error : error.message);
  process.exit(1);
}
