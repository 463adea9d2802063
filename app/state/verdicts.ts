/**
 * The answers about the whole home on screen: kept from last time, from the server, or worked out here; always said
 * which facts they are of.
 */
import { unpacked, type HomeAnswers, type HomeFacts, type PlantAnswer, type SpotAnswer, type When } from '@dulvan/core';
import { useEffect } from 'react';
import { create } from 'zustand';
import { Superseded } from '../workers/lane';
import { LANES } from './lanes';
import { ask } from './api';
import { useFacts, useHome } from './home';
import { keepAnswers, keptAnswers } from './kept-answers';
import { useWhen } from './year';

interface VerdictsState {
  readonly answers: HomeAnswers | null;
  /** The facts they answer. */
  readonly facts: HomeFacts | null;
  /** The answers of what is stored, while something else is tried; null where they were never worked out. */
  readonly ofStored: HomeAnswers | null;
  readonly working: 'no' | 'yes';
  /** Share of the present answer that is done, 0..1; null while it has taken no time worth a word. */
  readonly share: number | null;
  readonly failure: string | null;
  /** Time the last answer took until it was shown, ms, and where it was worked out. */
  readonly from: 'browser' | 'server' | 'kept' | null;
}

const NOTHING: VerdictsState = {
  answers: null,
  facts: null,
  ofStored: null,
  working: 'no',
  share: null,
  failure: null,
  from: null,
};

export const useVerdictsStore = create<VerdictsState>(() => NOTHING);

/** Progress is shown for what takes longer than this. */
const SHOWN_AFTER_MS = 300;

/** The engine that the server answers with; null while it has not said. */
let engine: Promise<string | null> | null = null;
const engineName = () => (engine ??= ask('health').then((health) => (health.ok ? health.value.engine : null)));

interface Wanted {
  readonly facts: HomeFacts;
  readonly when: When;
  /** The revision that the facts are; null while something is tried. */
  readonly revision: number | null;
}

interface Found {
  readonly answers: HomeAnswers;
  readonly from: NonNullable<VerdictsState['from']>;
}

/** Answers that were worked out before: kept here, or by the server. */
async function workedOutBefore({ facts, when, revision }: Wanted): Promise<Found | null> {
  if (revision === null || LANES.verdicts.isWarmFor(facts.home.id)) return null;
  const homeId = facts.home.id;
  const name = await engineName();
  if (name !== null) {
    const kept = await keptAnswers({ homeId, revision, engine: name, when });
    if (kept) return { answers: kept, from: 'kept' };
  }
  const answer = await ask('answer', { params: { homeId }, body: { question: 'home', params: when } });
  if (!answer.ok || answer.value.revision !== revision) return null;
  return { answers: unpacked(answer.value.answer) as HomeAnswers, from: 'server' };
}

async function find(wanted: Wanted, onShare: (share: number) => void): Promise<Found> {
  const before = await workedOutBefore(wanted);
  if (before) return before;
  const { facts, when } = wanted;
  const answers = await LANES.verdicts.ask({ facts, question: 'home', params: when, slot: 'home', onShare });
  return { answers, from: 'browser' };
}

/** The newest facts win; what comes late for older ones is left alone. */
let newest: Wanted | null = null;

async function answerNewest(wanted: Wanted): Promise<void> {
  newest = wanted;
  const startedMs = performance.now();
  useVerdictsStore.setState({ working: 'yes', share: null });
  const onShare = (share: number) => {
    if (newest === wanted && performance.now() - startedMs > SHOWN_AFTER_MS) useVerdictsStore.setState({ share });
  };
  try {
    const { answers, from } = await find(wanted, onShare);
    if (newest !== wanted) return;
    useVerdictsStore.setState({
      answers,
      facts: wanted.facts,
      ...(wanted.revision === null ? {} : { ofStored: answers }),
      failure: null,
      from,
      working: 'no',
      share: null,
    });
    await keep(wanted, answers, from);
    if (from !== 'browser') warmLater(wanted);
  } catch (error) {
    if (error instanceof Superseded || newest !== wanted) return;
    const failure = error instanceof Error ? error.message : String(error);
    useVerdictsStore.setState({ failure, working: 'no', share: null });
  }
}

/** The page has been quiet for this long. */
const QUIET_MS = 2_000;

/** Works the same out here while nobody waits, so that what is tried next is answered at once. */
function warmLater(wanted: Wanted): void {
  setTimeout(() => {
    const { facts, when } = wanted;
    if (newest !== wanted || LANES.verdicts.isWarmFor(facts.home.id)) return;
    // What becomes of it is told to nobody: the same answers are shown already.
    void LANES.verdicts.ask({ facts, question: 'home', params: when, slot: 'home' }).catch(() => undefined);
  }, QUIET_MS);
}

async function keep({ facts, when, revision }: Wanted, answers: HomeAnswers, from: Found['from']): Promise<void> {
  const name = await engineName();
  if (revision === null || name === null || from === 'kept') return;
  await keepAnswers({ homeId: facts.home.id, revision, engine: name, when }, answers);
}

/** Asks again after a failure. */
export function retryVerdicts(): void {
  if (newest) void answerNewest({ ...newest });
}

/** Keeps the answers in step with the facts; used once, by the shell. */
export function useKeepVerdicts(): void {
  const facts = useFacts();
  const stored = useHome((state) => state.facts);
  const revision = useHome((state) => state.revision);
  const when = useWhen(facts);
  // The server says its engine's name while the facts are still on their way.
  useEffect(() => void engineName(), []);
  useEffect(() => {
    if (!facts) {
      newest = null;
      useVerdictsStore.setState(NOTHING);
      return;
    }
    void answerNewest({ facts, when, revision: facts === stored ? revision : null });
    // A revision comes with its facts.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [facts, when]);
}

/** What can be said of the home on screen. */
export interface Verdicts {
  /** Of this home, though while something is worked out anew they may be of the facts before. */
  readonly answers: HomeAnswers | null;
  /** `ready`: the answers are of these very facts. */
  readonly state: 'working' | 'ready' | 'failed';
  readonly share: number | null;
  readonly failure: string | null;
}

/** Gives answers for the home on screen alone, and says whether they are of what is shown now. */
export function useVerdicts(): Verdicts {
  const facts = useFacts();
  const { answers, facts: answered, failure, share } = useVerdictsStore();
  const isThisHome = facts !== null && answered?.home.id === facts.home.id;
  const state = failure !== null ? 'failed' : answered === facts && facts !== null ? 'ready' : 'working';
  return { answers: isThisHome ? answers : null, state, share, failure };
}

export function usePlantAnswer(plantId: string): PlantAnswer | null {
  const { answers } = useVerdicts();
  return answers?.plants.find((answer) => answer.plantId === plantId) ?? null;
}

export function useSpotAnswer(spotId: string | null): SpotAnswer | null {
  const { answers } = useVerdicts();
  return answers?.spots.find((answer) => answer.spotId === spotId) ?? null;
}
