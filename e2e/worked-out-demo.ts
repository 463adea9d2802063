/**
 * Before all browser tests: one server puts the demo in and works its homes out, as one that has run for a minute
 * has. Tests start from copies of its database, so that none waits for figures that it is not about.
 */
import { endpoints } from '@dulvan/contract';
import { civilDateOf } from '@dulvan/core';
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ended, freePort, start } from './server';

export const WORKED_OUT_DEMO = path.join(__dirname, '../.tmp/worked-out-demo.sqlite');

async function read(url: string, init?: RequestInit): Promise<unknown> {
  const response = await fetch(url, init);
  if (!response.ok) throw new Error(`${url} answered ${response.status}: ${await response.text()}`);
  return response.json();
}

export default async function workOutDemo(): Promise<void> {
  mkdirSync(path.dirname(WORKED_OUT_DEMO), { recursive: true });
  for (const ending of ['', '-wal', '-shm']) rmSync(WORKED_OUT_DEMO + ending, { force: true });
  const port = await freePort();
  const server = await start(['--demo', '--no-devices'], port, WORKED_OUT_DEMO);
  try {
    const api = `http://127.0.0.1:${port}/api/homes`;
    for (const { id, timeZone } of endpoints.listHomes.response.parse(await read(api))) {
      const { year, month } = civilDateOf(Date.now(), timeZone);
      await read(`${api}/${id}/answers`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ question: 'home', params: { year, month } }),
      });
    }
  } finally {
    await ended(server, 'SIGTERM');
  }
}
