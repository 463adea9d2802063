/** A small home put on screen for component tests: real answers from the core, changes caught instead of sent. */
import { applied, type Change } from '@dulvan/contract';
import type { HomeFacts, Plant } from '@dulvan/core';
import { act, render, screen as shown } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import { smallHome } from '../../core/src/home/small-home.fixture';
import { useAnswers, YEAR } from '../state/answers';
import { useHome } from '../state/home';
import { useSettings } from '../state/settings';
import { lightTheme } from '../ui/theme';
import { engine } from './answer-service.mock';

const CATALOGUED: Record<string, string> = { shade: 'spathiphyllum-wallisii', sun: 'aloe-vera' };

/** The small home with taxa and glass of the real catalogue. */
export const shownHome: HomeFacts = {
  ...smallHome,
  home: { ...smallHome.home, climateId: 'cool-ocean' },
  windows: smallHome.windows.map((window) => ({ ...window, glazingId: 'double' })),
  plants: smallHome.plants.map((plant) => ({ ...plant, taxonId: CATALOGUED[plant.taxonId]! })),
};

/** The two plants of the small home. */
export const [shadePlant, sunPlant] = shownHome.plants as [Plant, Plant];

/** Changes that screens asked to be stored since the home was last put on screen. */
export const caught: { summary: string; changes: readonly Change[] }[] = [];

/** Puts facts on screen; what a screen changes is applied at once, as if the server had stored it. */
export function showHome(facts: HomeFacts = shownHome): void {
  caught.length = 0;
  useSettings.setState({ homeId: facts.home.id });
  const put = (next: HomeFacts) =>
    act(() => {
      useHome.setState({ facts: next });
      useAnswers.setState({ answers: engine.answer(next, YEAR), facts: next, working: 'no', failure: null });
    });
  useHome.setState({
    status: 'ready',
    homes: [facts.home],
    trial: null,
    notice: null,
    failure: null,
    change: (summary, changes) => {
      caught.push({ summary, changes });
      const next = applied(useHome.getState().facts!, changes);
      if (next) put(next);
      return Promise.resolve(null);
    },
  });
  put(facts);
}

/** Renders a screen and lets what it asked for arrive. */
export async function open(screen: ReactElement): Promise<void> {
  render(<PaperProvider theme={lightTheme}>{screen}</PaperProvider>);
  await settled();
}

/** Lets pending answers arrive. */
export const settled = () => act(() => new Promise<void>((resolve) => setTimeout(resolve, 0)));

/** Everything on screen with a role, in order. */
export const withRole = (role: string) =>
  shown.root.findAll((part) => typeof part.type === 'string' && part.props.role === role);

/** The words inside a part of the screen. */
export function wordsIn(part: ReturnType<typeof withRole>[number]): string {
  return part.children.map((child) => (typeof child === 'string' ? child : wordsIn(child))).join('');
}
