/** The plan of the home on screen while it is made, and once it is: worked out in a worker of its own. */
import type { HomeFacts, HomePlan } from '@dulvan/core';
import { create } from 'zustand';
import { Superseded } from '../workers/lane';
import { useFacts } from './home';
import { LANES } from './lanes';
import { dateAt, whenAt } from './year';

interface PlanState {
  /** The facts it is of. */
  readonly facts: HomeFacts | null;
  readonly state: 'none' | 'working' | 'ready' | 'stopped' | 'failed';
  /** The best so far, or the plan. */
  readonly plan: HomePlan | null;
  readonly share: number;
  readonly failure: string | null;
  /** Seconds that it took. */
  readonly seconds: number | null;
}

const NOTHING: PlanState = { facts: null, state: 'none', plan: null, share: 0, failure: null, seconds: null };

export const usePlanStore = create<PlanState>(() => NOTHING);

const SLOT = 'plan';

/** Makes a plan of some facts; an older one still in the making is given up. */
export async function makePlan(facts: HomeFacts): Promise<void> {
  const startedMs = performance.now();
  usePlanStore.setState({ ...NOTHING, facts, state: 'working' });
  const isThis = () => usePlanStore.getState().facts === facts && usePlanStore.getState().state === 'working';
  const seconds = () => (performance.now() - startedMs) / 1000;
  try {
    const now = Date.now();
    const plan = await LANES.plans.ask({
      facts,
      question: 'plan',
      params: { ...whenAt(facts, now), on: dateAt(facts, now) },
      slot: SLOT,
      onShare: (share) => isThis() && usePlanStore.setState({ share }),
      onInterim: (interim) => isThis() && usePlanStore.setState({ plan: interim, seconds: seconds() }),
    });
    if (isThis()) usePlanStore.setState({ state: 'ready', plan, seconds: seconds() });
  } catch (error) {
    if (error instanceof Superseded || !isThis()) return;
    usePlanStore.setState({ state: 'failed', failure: error instanceof Error ? error.message : String(error) });
  }
}

/** Stops with the best so far. */
export function stopPlan(): void {
  const { state } = usePlanStore.getState();
  if (state !== 'working') return;
  usePlanStore.setState({ state: 'stopped' });
  LANES.plans.giveWay(SLOT);
}

/** The plan of the home on screen: whether it is of the facts as they are, or of some that have changed since. */
export function usePlan(): PlanState & { readonly isOfNow: boolean } {
  const facts = useFacts();
  const state = usePlanStore();
  if (!facts || state.facts?.home.id !== facts.home.id) return { ...NOTHING, isOfNow: true };
  return { ...state, isOfNow: samePlace(state.facts, facts) };
}

/** What a plan reads of facts: steps that are done, and plans that were accepted, change nothing of it by themselves. */
const samePlace = (p: HomeFacts, q: HomeFacts): boolean =>
  p === q ||
  (Object.keys(p) as (keyof HomeFacts)[]).every(
    (list) => list === 'plans' || list === 'planSteps' || p[list] === q[list],
  );
