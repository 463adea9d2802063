/** What is typed but not saved, by form: it survives a reload, a failed save and a look at another screen. */
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

type Values = Readonly<Record<string, string>>;

interface Drafts {
  readonly drafts: Readonly<Record<string, Values>>;
  put(key: string, values: Values): void;
  drop(key: string): void;
}

export const useDrafts = create<Drafts>()(
  persist(
    (set) => ({
      drafts: {},
      put: (key, values) => set((state) => ({ drafts: { ...state.drafts, [key]: values } })),
      drop: (key) =>
        set((state) => {
          const { [key]: _dropped, ...rest } = state.drafts;
          return { drafts: rest };
        }),
    }),
    { name: 'dulvan-drafts', version: 1, storage: createJSONStorage(() => localStorage) },
  ),
);
