/**
 * What the page and its workers say to each other. Facts are told once and then as changes; a question names the facts
 * it is of.
 */
import type {
  AnswerOf,
  Change,
  HomeAnswers,
  HomeFacts,
  HomePlan,
  ParamsOf,
  PlantAnswer,
  QuestionName,
} from '@dulvan/core';

/** A file's text to be read off the page's thread. */
export type ReadKind = 'epw' | 'lamp';

export type ToWorker =
  /** Facts whole, under a key. */
  | { readonly type: 'facts'; readonly key: string; readonly facts: HomeFacts }
  /** Facts under a new key, by what differs from those under another one. */
  | { readonly type: 'changes'; readonly from: string; readonly key: string; readonly changes: readonly Change[] }
  /** A stored file that facts name. */
  | {
      readonly type: 'file';
      readonly kind: 'weather-hours' | 'intensities';
      readonly fileKey: string;
      readonly text: string;
    }
  | Asking
  | { readonly type: 'read'; readonly id: number; readonly kind: ReadKind; readonly text: string }
  | { readonly type: 'drop'; readonly id: number }
  | { readonly type: 'ping' };

/** A question on its way. */
export interface Asking<Q extends QuestionName = QuestionName> {
  readonly type: 'ask';
  readonly id: number;
  readonly factsKey: string;
  readonly question: Q;
  readonly params: ParamsOf<Q>;
  /** For the whole home: the last answer that arrived, against which only what differs is sent. */
  readonly since?: number;
}

/** A home's answers by what differs from those sent before; entries of both lists stay in their order. */
export interface HomeAnswersDelta {
  readonly since: number;
  readonly year: number;
  readonly month: number;
  readonly spotIds: readonly string[];
  readonly plantIds: readonly string[];
  readonly spots: HomeAnswers['spots'];
  readonly plants: HomeAnswers['plants'];
  readonly readings: HomeAnswers['readings'];
}

export type FromWorker =
  | { readonly type: 'share'; readonly id: number; readonly share: number; readonly interim?: HomePlan }
  | { readonly type: 'answer'; readonly id: number; readonly answer: AnswerOf<QuestionName> }
  | { readonly type: 'delta'; readonly id: number; readonly delta: HomeAnswersDelta }
  | { readonly type: 'read'; readonly id: number; readonly outcome: unknown }
  | { readonly type: 'failed'; readonly id: number; readonly message: string }
  | { readonly type: 'pong' };

/** What differs between two answers of one home; entries that are the very same are left out. */
export function deltaOf(since: number, before: HomeAnswers, now: HomeAnswers): HomeAnswersDelta {
  const spots = new Set(before.spots);
  const plants = new Map(before.plants.map((answer) => [answer.plantId, answer]));
  return {
    since,
    year: now.year,
    month: now.month,
    spotIds: now.spots.map(({ spotId }) => spotId),
    plantIds: now.plants.map(({ plantId }) => plantId),
    spots: now.spots.filter((answer) => !spots.has(answer)),
    plants: now.plants.filter((answer) => !isSame(answer, plants.get(answer.plantId))),
    readings: now.readings,
  };
}

/** Targets and fits are remembered by the engine: what follows from the same facts is the very same. */
function isSame(now: PlantAnswer, before: PlantAnswer | undefined): boolean {
  return (
    before !== undefined &&
    now.targets === before.targets &&
    now.fit === before.fit &&
    now.reserveLeft === before.reserveLeft
  );
}

/** An answer from the one before it and what differs; what does not differ stays the very same. */
export function withDelta(
  before: HomeAnswers,
  { year, month, spotIds, plantIds, spots, plants, readings }: HomeAnswersDelta,
): HomeAnswers {
  const bySpot = new Map([...before.spots, ...spots].map((answer) => [answer.spotId, answer]));
  const byPlant = new Map([...before.plants, ...plants].map((answer) => [answer.plantId, answer]));
  return {
    year,
    month,
    spots: spotIds.map((id) => bySpot.get(id)!),
    plants: plantIds.map((id) => byPlant.get(id)!),
    readings,
  };
}
