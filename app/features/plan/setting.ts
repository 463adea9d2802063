/** Changes what matters in a plan, one thing at a time: each is stored as it is chosen, and can be taken back. */
import { planSettingsOf, put, type HomeFacts, type PlanSettings } from '@dulvan/core';
import { useHome } from '../../state/home';
import { MAY_CHANGE as WORDS } from './plan-words';

export function usePlanSetting(facts: HomeFacts) {
  const change = useHome((state) => state.change);
  const settings = planSettingsOf(facts);
  return {
    settings,
    set: (what: string, fields: Partial<PlanSettings>) =>
      void change(WORDS.changed(what), [put('planSettings', { ...settings, ...fields })]),
  };
}

/** Choices of a table of words. */
export const choicesOf = <T extends string>(words: Readonly<Record<T, string>>) =>
  (Object.entries(words) as [T, string][]).map(([value, word]) => ({ value, word }));
