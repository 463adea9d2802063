/**
 * A process of its own that accepts one plan after another in a store, until it is killed.
 * @param argv the file, and the steps of each plan
 */
import { knowledge } from '@dulvan/catalogue';
import { PLAIN_STEP, put, drop, type Change } from '@dulvan/core';
import { openStore } from './open';
import { Store } from './store';

/** What accepting a plan writes: it, its steps, and the steps of the one before go. */
function accepted(n: number, steps: number): Change[] {
  const planId = `plan-${n}`;
  const stepId = (plan: number, i: number) => `step-${plan}-${i}`;
  const all = Array.from({ length: steps }, (_, i) => i);
  const step = { ...PLAIN_STEP, planId, on: '2026-11-30', kind: 'shade', plantId: 'p-moth', doneOn: null } as const;
  return [
    ...(n > 0 ? all.map((i) => drop('planSteps', stepId(n - 1, i))) : []),
    put('plans', {
      id: planId,
      homeId: 'sail-loft',
      acceptedOn: '2026-11-30',
      promised: [],
      kWhBefore: n,
      kWhAfter: 0,
    }),
    ...all.map((order) => put('planSteps', { ...step, id: stepId(n, order), order })),
  ];
}

async function main(file: string, steps: number): Promise<void> {
  const store = new Store(await openStore(file), { knowledge });
  const MOST_PLANS = 150;
  for (let n = 0; n < MOST_PLANS; n++) {
    const { revision } = store.home('sail-loft');
    const set = { base: revision, key: `accepts-${n}`, summary: `Plan ${n} accepted`, changes: accepted(n, steps) };
    await store.change('sail-loft', set);
    process.stdout.write(`${n}\n`);
  }
}

void main(process.argv[2]!, Number(process.argv[3]));
