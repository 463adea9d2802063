/** Which parts of a plan are taken: all at first, each can be left out. */
import { partsOf, workOf, type Chosen, type FoundPlan, type HomeFacts, type Work } from '@dulvan/core';
import { useMemo, useState } from 'react';
import { useNow } from '../../state/use-now';
import { dateAt } from '../../state/year';

export interface ChosenParts extends Chosen {
  readonly work: Work;
  readonly on: string;
  toggle(id: string): void;
}

/** Keys of plants, timers, windows and humidifiers share one set: they never meet. */
export function useChosen(facts: HomeFacts, plan: FoundPlan | null): ChosenParts | null {
  const [left, setLeft] = useState<{ readonly plan: FoundPlan | null; readonly ids: ReadonlySet<string> }>({
    plan: null,
    ids: new Set(),
  });
  const on = dateAt(facts, useNow());
  const out = left.plan === plan ? left.ids : NONE;
  return useMemo(() => {
    if (!plan) return null;
    const chosen = partsOf(plan, out);
    const toggle = (id: string) => {
      const ids = new Set(out);
      if (!ids.delete(id)) ids.add(id);
      setLeft({ plan, ids });
    };
    return { ...chosen, work: workOf(facts, plan, chosen, on), on, toggle };
  }, [facts, plan, out, on]);
}

const NONE: ReadonlySet<string> = new Set();
