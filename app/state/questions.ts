/**
 * Questions that one screen asks of the home: put to a worker, given up when another takes their place, never shown
 * for another one.
 */
import { isAnswered } from '@dulvan/contract';
import {
  unpacked,
  type AnswerOf,
  type CivilDate,
  type HomeFacts,
  type LampWish,
  type LightWaysParams,
  type MeasuredMonth,
  type ParamsOf,
  type Plant,
  type QuestionName,
  type Reading,
  type SkyKind,
  type Taxon,
} from '@dulvan/core';
import { useEffect, useId, useMemo, useState } from 'react';
import { Superseded } from '../workers/lane';
import { ask } from './api';
import { useHome } from './home';
import { LANES, type LaneName } from './lanes';
import { useWhen, useYear } from './year';

/** How far a question has come. */
export type Asked<T> =
  /** Nothing was asked. */
  | { readonly state: 'idle' }
  /** `value` is the answer to the same question before the facts changed, where there is one. */
  | { readonly state: 'working'; readonly value: T | null; readonly share: number | null }
  | { readonly state: 'ready'; readonly value: T }
  | { readonly state: 'failed'; readonly message: string; readonly retry: () => void };

/** What there is to show: the answer, or while it is worked out anew the one before. */
export const shownValue = <T>(asked: Asked<T>): T | null =>
  asked.state === 'ready' || asked.state === 'working' ? asked.value : null;

interface Outcome<T> {
  readonly facts: HomeFacts;
  readonly params: string;
  readonly result: { readonly value: T } | { readonly failure: string };
}

/**
 * The server's answer, while the worker here knows nothing of the home yet: a phone takes seconds for what the server
 * has at hand. Undefined where the facts are not as stored, or the server does not say.
 */
async function byServer<Q extends QuestionName>(
  question: Q,
  facts: HomeFacts,
  params: ParamsOf<Q>,
): Promise<AnswerOf<Q> | undefined> {
  const { facts: stored, revision } = useHome.getState();
  if (facts !== stored || revision === null || !isAnswered(question)) return undefined;
  const homeId = facts.home.id;
  if (LANES.verdicts.isWarmFor(homeId)) return undefined;
  const answer = await ask('answer', { params: { homeId }, body: { question, params: { ...params } } });
  return answer.ok && answer.value.revision === revision ? (unpacked(answer.value.answer) as AnswerOf<Q>) : undefined;
}

/** Asks a question whenever it or the facts change; null for either asks nothing. */
export function useQuestion<Q extends QuestionName>(
  question: Q,
  facts: HomeFacts | null,
  params: ParamsOf<Q> | null,
  lane: LaneName = 'details',
): Asked<AnswerOf<Q>> {
  const slot = `${question} ${useId()}`;
  const [outcome, setOutcome] = useState<Outcome<AnswerOf<Q>> | null>(null);
  const [progress, setProgress] = useState<{ readonly key: string; readonly share: number } | null>(null);
  const [tries, setTries] = useState(0);
  const key = params === null ? null : JSON.stringify(params);
  useEffect(() => {
    if (!facts || key === null) return undefined;
    const asked = JSON.parse(key) as ParamsOf<Q>;
    let stale = false;
    const settle = (result: Outcome<AnswerOf<Q>>['result']) => {
      if (!stale) setOutcome({ facts, params: key, result });
    };
    const here = () =>
      LANES[lane].ask({
        facts,
        question,
        params: asked,
        slot,
        onShare: (share) => !stale && setProgress({ key, share }),
      });
    // One that has been given up meanwhile is not put to the worker any more.
    const byEither = async () => (await byServer(question, facts, asked)) ?? (stale ? undefined : here());
    (lane === 'verdicts' ? byEither() : here())
      .then((value) => value !== undefined && settle({ value }))
      .catch((error: Error) => {
        if (!(error instanceof Superseded)) settle({ failure: error.message });
      });
    return () => {
      stale = true;
      LANES[lane].giveWay(slot);
    };
  }, [question, facts, key, slot, lane, tries]);
  return useMemo(() => {
    if (!facts || key === null) return { state: 'idle' };
    const isOfThis = outcome?.params === key;
    if (isOfThis && outcome.facts === facts) {
      const { result } = outcome;
      if ('value' in result) return { state: 'ready', value: result.value };
      const retry = () => {
        setOutcome(null);
        setTries((before) => before + 1);
      };
      return { state: 'failed', message: result.failure, retry };
    }
    const before = isOfThis && outcome.facts.home.id === facts.home.id && 'value' in outcome.result;
    const value = before && 'value' in outcome.result ? outcome.result.value : null;
    return { state: 'working', value, share: progress?.key === key ? progress.share : null };
  }, [facts, key, outcome, progress]);
}

/** Every spot of the home ranked for a plant. Its name decides nothing: typing it asks nothing anew. */
export function useRanking(facts: HomeFacts | null, plant: Plant | null) {
  const when = useWhen(facts);
  return useQuestion('rank', facts, plant && { plant: { ...plant, name: '', note: '' }, ...when }, 'verdicts');
}

/** What would help the plants of the home; null for facts asks nothing. */
export function useMends(facts: HomeFacts | null) {
  const when = useWhen(facts);
  return useQuestion('mends', facts, when, 'verdicts');
}

/** The light over a room's plan through the year. */
export function useSunlightMap(facts: HomeFacts | null, roomId: string) {
  const year = useYear(facts);
  return useQuestion('sunlightMap', facts, { roomId, year });
}

/** The taxa that suit a spot best. */
export function useBestTaxa(facts: HomeFacts | null, spotId: string, taxa: readonly Taxon[], count: number) {
  const when = useWhen(facts);
  const taxonIds = useMemo(() => taxa.map((taxon) => taxon.id), [taxa]);
  return useQuestion('bestTaxa', facts, { spotId, taxonIds, count, ...when });
}

/** Own plants that a spot would suit better than where they stand. */
export function usePlantsForSpot(facts: HomeFacts | null, spotId: string, count: number) {
  const when = useWhen(facts);
  return useQuestion('plantsForSpot', facts, when && { spotId, count, ...when });
}

/** A room through a day. */
export function useRoomDay(facts: HomeFacts | null, roomId: string, date: CivilDate, sky: SkyKind) {
  return useQuestion('roomDay', facts, { roomId, date, sky });
}

/** A room's air through the year. */
export function useRoomAir(facts: HomeFacts | null, roomId: string) {
  const year = useYear(facts);
  return useQuestion('roomAir', facts, { roomId, year });
}

/** What measured months teach of a room; null for facts asks nothing. */
export function useRoomLesson(facts: HomeFacts | null, roomId: string, months: readonly MeasuredMonth[]) {
  const year = useYear(facts);
  return useQuestion('learnRoom', facts, { roomId, year, months });
}

/** A room's air over its plan. */
export function useAirMap(facts: HomeFacts | null, roomId: string) {
  const year = useYear(facts);
  return useQuestion('airMap', facts, { roomId, year });
}

/** What a remedy does to a room's air. */
export function useAirRemedy(facts: HomeFacts | null, asked: Omit<ParamsOf<'airRemedy'>, 'year'>) {
  const year = useYear(facts);
  return useQuestion('airRemedy', facts, { ...asked, year });
}

/** An enclosure tried at a spot. */
export function useEnclosure(facts: HomeFacts | null, asked: Omit<ParamsOf<'enclosure'>, 'year'>) {
  const year = useYear(facts);
  return useQuestion('enclosure', facts, { ...asked, year });
}

/** Every half hour of a spot's year. */
export function useLightYear(facts: HomeFacts | null, spotId: string) {
  const year = useYear(facts);
  return useQuestion('lightYear', facts, { spotId, year });
}

/** A spot beside other places and ways. */
export function useBeside(facts: HomeFacts | null, spotId: string, others: readonly string[]) {
  const year = useYear(facts);
  return useQuestion('beside', facts, { spotId, others, year });
}

/** What a spot's daylight loses on its way. */
export function useLosses(facts: HomeFacts | null, spotId: string) {
  const year = useYear(facts);
  return useQuestion('losses', facts, { spotId, year });
}

/** A reading that is being taken, held against the model. */
export function useCompared(facts: HomeFacts | null, reading: Reading | null) {
  const year = useYear(facts);
  return useQuestion('compareReading', facts, reading && { reading, year });
}

/** The light of lamps over a tier. */
export function useTierField(facts: HomeFacts | null, tierId: string) {
  const year = useYear(facts);
  return useQuestion('tierField', facts, { tierId, year });
}

/** Heights and hours for a wanted light over a tier. */
export function useLampPlan(facts: HomeFacts | null, tierId: string, wish: LampWish | null) {
  const year = useYear(facts);
  return useQuestion('lampPlan', facts, wish && { tierId, wish, year });
}

/** Ways to the light that is wanted over a tier. */
export function useLightWays(facts: HomeFacts | null, wish: Omit<LightWaysParams, 'year'>) {
  const year = useYear(facts);
  // Many lamps are tried: what else the screen asks does not wait for them.
  return useQuestion('lightWays', facts, { ...wish, year }, 'plans');
}
