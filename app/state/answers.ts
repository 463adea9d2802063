/** The answers to the facts on screen, kept in step by the worker: the newest facts win, what is shown stays until they are in. */
import type {
  Beside,
  CivilDate,
  ComparedReading,
  HomeAnswers,
  HomeFacts,
  LampPlan,
  LampWish,
  LightYear,
  Losses,
  Plant,
  PlantAnswer,
  RankedSpot,
  Reading,
  RoomDay,
  RoomWash,
  SkyKind,
  SpotAnswer,
  Taxon,
  TierField,
  YearFit,
} from '@dulvan/core';
import { useEffect, useState } from 'react';
import { proxy } from 'comlink';
import { create } from 'zustand';
import { answerService } from '../workers/client';
import { useFacts } from './home';

interface AnswersState {
  readonly answers: HomeAnswers | null;
  /** The facts they answer. */
  readonly facts: HomeFacts | null;
  readonly working: 'no' | 'yes';
  /** Share of the present answer that is done, 0..1; null while it has taken no time worth a word. */
  readonly share: number | null;
  readonly failure: string | null;
  /** Time the last answer took in the worker and on the way, ms. */
  readonly tookMs: number | null;
}

export const useAnswers = create<AnswersState>(() => ({
  answers: null,
  facts: null,
  working: 'no',
  share: null,
  failure: null,
  tookMs: null,
}));

/** The year that is shown. */
export const YEAR = new Date().getFullYear();

/** Progress is shown for what takes longer than this. */
const SHOWN_AFTER_MS = 300;

let waiting: HomeFacts | null = null;
let busy = false;

async function answerNewest(): Promise<void> {
  if (busy) return;
  busy = true;
  useAnswers.setState({ working: 'yes' });
  while (waiting) {
    const facts: HomeFacts = waiting;
    waiting = null;
    const startedMs = performance.now();
    try {
      const report = proxy((share: number) => {
        if (performance.now() - startedMs > SHOWN_AFTER_MS) useAnswers.setState({ share });
      });
      const answers = await answerService().answer(facts, YEAR, report);
      useAnswers.setState({ answers, facts, failure: null, tookMs: performance.now() - startedMs });
    } catch (error) {
      useAnswers.setState({ failure: error instanceof Error ? error.message : String(error) });
    }
  }
  busy = false;
  useAnswers.setState({ working: 'no', share: null });
}

/** Keeps the answers in step with the facts; used once, by the shell. */
export function useKeepAnswers(): void {
  const facts = useFacts();
  // The worker wakes while the facts are still on their way.
  useEffect(() => void answerService(), []);
  useEffect(() => {
    if (!facts) {
      useAnswers.setState({ answers: null, facts: null });
      return;
    }
    waiting = facts;
    void answerNewest();
  }, [facts]);
}

export function usePlantAnswer(plantId: string): PlantAnswer | null {
  return useAnswers((state) => state.answers?.plants.find((answer) => answer.plantId === plantId) ?? null);
}

export function useSpotAnswer(spotId: string | null): SpotAnswer | null {
  return useAnswers((state) => state.answers?.spots.find((answer) => answer.spotId === spotId) ?? null);
}

/** Asks the worker whenever its question changes; null until it has answered. */
function useAsked<T>(ask: (() => Promise<T>) | null, key: readonly unknown[]): T | null {
  const [value, setValue] = useState<T | null>(null);
  useEffect(() => {
    let stale = false;
    if (ask) void ask().then((answer) => !stale && setValue(answer));
    return () => {
      stale = true;
    };
    // The question is made anew at each render; its key says when it differs.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, key);
  return value;
}

/** Every spot of the home ranked for a plant. */
export function useRanking(facts: HomeFacts | null, plant: Plant | null): readonly RankedSpot[] | null {
  return useAsked(facts && plant ? () => answerService().rank(facts, plant, YEAR) : null, [
    facts,
    plant && JSON.stringify(plant),
  ]);
}

/** The light over a room's plan through the year. */
export function useWash(facts: HomeFacts | null, roomId: string): RoomWash | null {
  return useAsked(facts ? () => answerService('washes').wash(facts, roomId, YEAR) : null, [facts, roomId]);
}

/** The taxa that suit a spot best. */
export function useBestTaxa(
  facts: HomeFacts | null,
  spotId: string,
  taxa: readonly Taxon[],
  count: number,
): readonly { readonly taxonId: string; readonly fit: YearFit }[] | null {
  const ask = () =>
    answerService('washes').bestTaxa(
      facts!,
      spotId,
      taxa.map((taxon) => taxon.id),
      count,
      YEAR,
    );
  return useAsked(facts ? ask : null, [facts, spotId, taxa, count]);
}

/** A room through a day. */
export function useRoomDay(facts: HomeFacts | null, roomId: string, date: CivilDate, sky: SkyKind): RoomDay | null {
  return useAsked(facts ? () => answerService('washes').roomDay(facts, roomId, date, sky) : null, [
    facts,
    roomId,
    date.year,
    date.month,
    date.day,
    sky,
  ]);
}

/** Every half hour of a spot's year. */
export function useLightYear(facts: HomeFacts | null, spotId: string): LightYear | null {
  return useAsked(facts ? () => answerService('washes').lightYear(facts, spotId, YEAR) : null, [facts, spotId]);
}

/** A spot beside other places and ways. */
export function useBeside(
  facts: HomeFacts | null,
  spotId: string,
  others: readonly string[],
): readonly Beside[] | null {
  return useAsked(facts ? () => answerService('washes').beside(facts, spotId, others, YEAR) : null, [
    facts,
    spotId,
    others.join(),
  ]);
}

/** What a spot's daylight loses on its way. */
export function useLosses(facts: HomeFacts | null, spotId: string): Losses | null {
  return useAsked(facts ? () => answerService('washes').losses(facts, spotId, YEAR) : null, [facts, spotId]);
}

/** A reading that is being taken, held against the model. */
export function useCompared(facts: HomeFacts | null, reading: Reading | null): ComparedReading | null {
  return useAsked(facts && reading ? () => answerService('washes').compareReading(facts, reading, YEAR) : null, [
    facts,
    reading && JSON.stringify(reading),
  ]);
}

/** The light of lamps over a tier. */
export function useTierField(facts: HomeFacts | null, tierId: string): TierField | null {
  return useAsked(facts ? () => answerService('washes').tierField(facts, tierId, YEAR) : null, [facts, tierId]);
}

/** Heights and hours for a wanted light over a tier. */
export function useLampPlan(facts: HomeFacts | null, tierId: string, wish: LampWish | null): LampPlan | null {
  return useAsked(facts && wish ? () => answerService('washes').lampPlan(facts, tierId, wish, YEAR) : null, [
    facts,
    tierId,
    wish && JSON.stringify(wish),
  ]);
}
