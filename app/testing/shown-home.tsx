/** A small home put on screen for component tests: real answers from the core, changes caught instead of sent. */
import { knowledge } from '@dulvan/catalogue';
import { AttachmentShelf, HomeEngine, applied, ask, type Change, type HomeFacts, type Plant } from '@dulvan/core';
import { act, render, screen as shown } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { useHome } from '../state/home';
import { useVerdictsStore } from '../state/verdicts';
import { whenAt } from '../state/year';
import { useSettings } from '../state/settings';
import { lightTheme } from '../ui/theme';

const CATALOGUED: Record<string, string> = { shade: 'spathiphyllum-wallisii', sun: 'aloe-vera' };

/** The small home with taxa and glass of the real catalogue. */
export const shownHome: HomeFacts = {
  ...smallHome,
  home: { ...smallHome.home, climateId: 'cool-ocean' },
  windows: smallHome.windows.map((window) => ({ ...window, glazingId: 'double' })),
  plants: smallHome.plants.map((plant) => ({ ...plant, taxonId: CATALOGUED[plant.taxonId]! })),
};

/** The core's own engine, for what a screen should show. */
export const shelf = new AttachmentShelf();
export const engine = new HomeEngine(knowledge, shelf);

/** The two plants of the small home. */
export const [shadePlant, sunPlant] = shownHome.plants as [Plant, Plant];

/** Changes that screens asked to be stored since the home was last put on screen. */
export const caught: { summary: string; changes: readonly Change[] }[] = [];

/** The entry that the first change put in whole. */
export function entryPut<T>(): T {
  const [change] = caught[0]!.changes;
  if (change?.op !== 'put') throw new Error('The first change puts nothing in.');
  return change.entry as T;
}

/** The fields that the first change patched. */
export function fieldsPatched<T>(): T {
  const [change] = caught[0]!.changes;
  if (change?.op !== 'patch') throw new Error('The first change patches nothing.');
  return change.fields as T;
}

/** Puts facts on screen; what a screen changes is applied at once, as if the server had stored it. */
export function showHome(facts: HomeFacts = shownHome): void {
  caught.length = 0;
  useSettings.setState({ homeId: facts.home.id });
  const put = (next: HomeFacts) =>
    act(() => {
      useHome.setState({ facts: next });
      const answers = ask(engine, next, 'home', whenAt(next, Date.now()));
      useVerdictsStore.setState({ answers, facts: next, working: 'no', share: null, failure: null });
    });
  const stored = (summary: string, changes: readonly Change[]) => {
    caught.push({ summary, changes });
    const next = applied(useHome.getState().facts!, changes);
    if (next) put(next);
    return Promise.resolve();
  };
  useHome.setState({
    status: 'ready',
    revision: 1,
    homes: [facts.home],
    trial: null,
    notice: null,
    failure: null,
    change: (summary, changes) => stored(summary, changes).then(() => 'stored' as const),
    attempt: (summary, changes) => stored(summary, changes).then(() => null),
  });
  put(facts);
}

/** Renders a screen and lets what it asked for arrive. */
export async function open(screen: ReactElement): Promise<void> {
  render(<PaperProvider theme={lightTheme}>{screen}</PaperProvider>);
  await settled();
}

/** Lets pending answers arrive: a question and its answer take some turns each. */
export const settled = () =>
  act(async () => {
    for (let turn = 0; turn < 6; turn++) await new Promise<void>((resolve) => setTimeout(resolve, 0));
  });

/** Everything on screen with a role, in order. */
export const withRole = (role: string) =>
  shown.root.findAll((part) => typeof part.type === 'string' && part.props.role === role);

/** The words inside a part of the screen. */
export function wordsIn(part: ReturnType<typeof withRole>[number]): string {
  return part.children.map((child) => (typeof child === 'string' ? child : wordsIn(child))).join('');
}
