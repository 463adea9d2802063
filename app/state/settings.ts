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
  /** Whether the browser calls when measured air harms plants, and when it keeps quiet: minutes of the day. */
  readonly airNotices: 'on' | 'off';
  readonly quiet: { readonly fromMinute: number; readonly toMinute: number };
  /** Alarms that the browser has told of, the latest last: told once. */
  readonly toldAlarms: readonly string[];
  setUnits(units: Partial<Units>): void;
  setAppearance(appearance: Settings['appearance']): void;
  setHomeId(homeId: string | null): void;
  setKWhPrice(kWhPrice: number | null): void;
  setAirNotices(airNotices: Settings['airNotices']): void;
  setQuiet(quiet: Partial<Settings['quiet']>): void;
  toldOf(alarm: string): void;
}

const TOLD_KEPT = 50;

export const useSettings = create<Settings>()(
  persist(
    (set) => ({
      units: { temperature: 'C', length: 'cm', light: 'ppfd' },
      appearance: 'auto',
      homeId: null,
      kWhPrice: null,
      airNotices: 'off',
      quiet: { fromMinute: 22 * 60, toMinute: 7 * 60 },
      toldAlarms: [],
      setUnits: (units) => set((state) => ({ units: { ...state.units, ...units } })),
      setAppearance: (appearance) => set({ appearance }),
      setHomeId: (homeId) => set({ homeId }),
      setKWhPrice: (kWhPrice) => set({ kWhPrice }),
      setAirNotices: (airNotices) => set({ airNotices }),
      toldOf: (alarm) => set((state) => ({ toldAlarms: [...state.toldAlarms, alarm].slice(-TOLD_KEPT) })),
      setQuiet: (quiet) => set((state) => ({ quiet: { ...state.quiet, ...quiet } })),
    }),
    { name: 'dulvan-settings', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);

export const useUnits = () => useSettings((state) => state.units);
