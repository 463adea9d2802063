/** The plan of the home on screen while it is made, and once it is: worked out in a worker of its own. */
import type { HomeFacts, HomePlan, PlanAsked } from '@dulvan/core';
import { create } from 'zustand';
import { Superseded } from '../workers/lane';
import { useFacts } from './home';
import { LANES } from './lanes';
import { dateAt, whenAt } from './year';

interface PlanState {
  /** The facts it is of. */
  readonly facts: HomeFacts | null;
  /** `finishing`: the grower waits for no better one, and what there is is worked out. */
  readonly state: 'none' | 'working' | 'finishing' | 'ready' | 'failed';
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
export const makePlan = (facts: HomeFacts): Promise<void> => {
  usePlanStore.setState({ ...NOTHING, facts, state: 'working' });
  return planned(facts, 'whole', performance.now());
};

/** Waits for no better plan: with one at hand it is worked out to its end, without one nothing is left. */
export async function stopPlan(): Promise<void> {
  const { state, plan, facts } = usePlanStore.getState();
  if (state !== 'working' || !facts) return;
  LANES.plans.giveWay(SLOT);
  if (!plan) return usePlanStore.setState(NOTHING);
  usePlanStore.setState({ state: 'finishing' });
  await planned(facts, 'least', performance.now());
}

async function planned(facts: HomeFacts, effort: PlanAsked['effort'], startedMs: number): Promise<void> {
  const during = effort === 'whole' ? 'working' : 'finishing';
  const isThis = () => usePlanStore.getState().facts === facts && usePlanStore.getState().state === during;
  const seconds = () => (performance.now() - startedMs) / 1000;
  try {
    const now = Date.now();
    const plan = await LANES.plans.ask({
      facts,
      question: 'plan',
      params: { ...whenAt(facts, now), on: dateAt(facts, now), effort },
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

/** The plan of the home on screen: whether it is of the facts as they are, or of some that have changed since. */
export function usePlan(): PlanState & { readonly isOfNow: boolean } {
  const facts = useFacts();
  const state = usePlanStore();
  if (!facts || state.facts?.home.id !== facts.home.id) return { ...NOTHING, isOfNow: true };
  return { ...state, isOfNow: samePlace(state.facts, facts) };
}

/** What a plan reads of facts: accepted plans and their steps change nothing of it by themselves. */
const samePlace = (p: HomeFacts, q: HomeFacts): boolean =>
  p === q ||
  (Object.keys(p) as (keyof HomeFacts)[]).every(
    (list) => list === 'plans' || list === 'planSteps' || p[list] === q[list],
  );
