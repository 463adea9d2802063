/** Killed in the middle of accepting plans: what was confirmed stands whole, of the next one all or nothing. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import path from 'node:path';
import { HOME, keptStore } from './kept.fixture';

const ACCEPTING = path.join(__dirname, 'accepting.fixture.ts');
const STEPS = 40;
const KILLS = 5;

/** Lets a process accept plans in a file and kills it some time after the first; the last that it confirmed. */
async function confirmedBeforeDeath(file: string, waitMs: number): Promise<number> {
  const child = spawn(process.execPath, ['--import', 'tsx', ACCEPTING, file, String(STEPS)], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let [said, complaint, killed] = ['', '', false];
  child.stderr.on('data', (bytes: Buffer) => (complaint += bytes.toString()));
  child.stdout.on('data', (bytes: Buffer) => {
    said += bytes.toString();
    if (killed) return;
    killed = true;
    setTimeout(() => child.kill('SIGKILL'), waitMs);
  });
  await once(child, 'close');
  if (!killed) throw new Error(`It accepted nothing: ${complaint}`);
  // A line that was cut off by death confirms nothing.
  return Number(said.slice(0, said.lastIndexOf('\n')).split('\n').at(-1));
}

it.each(Array.from({ length: KILLS }, (_, i) => 3 + 17 * i))('%i ms after the first plan', async (waitMs) => {
  const kept = await keptStore();
  const confirmed = await confirmedBeforeDeath(kept.file, waitMs);
  const { facts } = (await kept.restarted()).home(HOME);
  const last = facts.plans.length - 1;
  expect([confirmed, confirmed + 1]).toContain(last);
  expect(facts.plans.map(({ id }) => id).sort()).toEqual(
    Array.from({ length: last + 1 }, (_, n) => `plan-${n}`).sort(),
  );
  expect(facts.planSteps).toHaveLength(STEPS);
  expect(new Set(facts.planSteps.map(({ planId }) => planId))).toEqual(new Set([`plan-${last}`]));
  kept.remove();
});
