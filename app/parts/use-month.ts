/** The month looked at: the home's present one at first, the same on every drawing. */
import { create } from 'zustand';
import { useHome } from '../state/home';
import { monthAt } from '../state/year';
import { useNow } from '../state/use-now';

const useChosen = create<{ readonly month: number | null }>(() => ({ month: null }));

export function useMonth(): [number, (month: number) => void] {
  const chosen = useChosen((state) => state.month);
  const facts = useHome((state) => state.facts);
  const now = useNow();
  const month = chosen ?? (facts ? monthAt(facts, now) : new Date(now).getUTCMonth() + 1);
  return [month, (next) => useChosen.setState({ month: next })];
}
