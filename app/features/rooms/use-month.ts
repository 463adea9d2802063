/** The month looked at: this one at first, the same on every drawing. */
import { create } from 'zustand';

const useShown = create<{ month: number }>(() => ({ month: new Date().getMonth() + 1 }));

export function useMonth(): [number, (month: number) => void] {
  const month = useShown((state) => state.month);
  return [month, (next) => useShown.setState({ month: next })];
}
