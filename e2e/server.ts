/** Servers of their own for browser tests, on loopback ports that are free. */
import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';

/** A machine that is busy with other things may be several times slower. */
const STARTS_WITHIN_MS = 240_000;

export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      const port = address && typeof address === 'object' ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

/** Starts a server on a database file; done when it says where it is. */
export function start(args: readonly string[], port: number, file: string): Promise<ChildProcess> {
  return new Promise((resolve, reject) => {
    const server = spawn(process.execPath, ['scripts/start.mjs', ...args], {
      env: { ...process.env, PORT: String(port), HOST: '127.0.0.1', DULVAN_DATA: file },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let said = '';
    const timer = setTimeout(() => reject(new Error(`The server did not start: ${said}`)), STARTS_WITHIN_MS);
    const hear = (chunk: Buffer) => {
      said += chunk.toString();
      if (!said.includes('Dulvan is at')) return;
      clearTimeout(timer);
      resolve(server);
    };
    server.stdout!.on('data', hear);
    server.stderr!.on('data', hear);
  });
}

/** Sends the signal and waits until the server is gone. */
export function ended(server: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (server.exitCode !== null || server.signalCode !== null) {
      resolve();
      return;
    }
    server.once('exit', () => resolve());
    server.kill(signal);
  });
}
