/** How the grower likes to see things: kept on this device. */
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

export interface Units {
  readonly temperature: 'C' | 'F';
  readonly length: 'cm' | 'in';
  readonly light: 'ppfd' | 'lux';
}

interface Settings {
  readonly units: Units;
  readonly appearance: 'auto' | 'light' | 'dark';
  /** The home looked at last. */
  readonly homeId: string | null;
  /** What a kWh costs, in the grower's money; null tells no cost. */
  readonly kWhPrice: number | null;
  setUnits(units: Partial<Units>): void;
  setAppearance(appearance: Settings['appearance']): void;
  setHomeId(homeId: string | null): void;
  setKWhPrice(kWhPrice: number | null): void;
}

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      units: { temperature: 'C', length: 'cm', light: 'ppfd' },
      appearance: 'auto',
      homeId: null,
      kWhPrice: null,
      setUnits: (units) => set((state) => ({ units: { ...state.units, ...units } })),
      setAppearance: (appearance) => set({ appearance }),
      setHomeId: (homeId) => set({ homeId }),
      setKWhPrice: (kWhPrice) => set({ kWhPrice }),
    }),
    { name: 'dulvan-settings', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);

export const useUnits = () => useSettings((state) => state.units);
