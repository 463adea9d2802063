/** Everything that can be asked of a home, by name: what each question takes and what it answers. */
import type { HomeFacts } from '../facts';
import {
  airRemedy,
  finish,
  learnRoom,
  tryEnclosure,
  type ComparedReading,
  type EnclosureAnswer,
  type EnclosureParams,
  type HomeEngine,
  type LearnRoomParams,
  type RemedyAnswer,
  type RemedyParams,
  type RoomLesson,
} from '../home';
import type { PlantMends, RankedSpot } from '../match';
import type { HomePlan, PlanAsked, PlanInterim } from '../planning';
import { beside, type Beside, type BesideParams } from './beside';
import { bestTaxa, type BestTaxaParams, type TaxonFit } from './best-taxa';
import { compareReading, type CompareReadingParams } from './compare-reading';
import { homeAnswers, type HomeAnswers, type When } from './home-answers';
import { lightYear, type LightYear, type LightYearParams } from './light-year';
import { losses, type Losses, type LossesParams } from './losses';
import { plantsForSpot, type PlantForSpot, type PlantsForSpotParams } from './plants-for-spot';
import { rank, type RankParams } from './rank';
import { airMap, roomAir, type AirMap, type RoomAir, type RoomAirParams } from './room-air';
import { roomDay, type RoomDay, type RoomDayParams } from './room-day';
import { mends } from './mends';
import { plan } from './plan';
import { sunlightMap, type SunlightMap, type SunlightMapParams } from './sunlight-map';
import { lampPlan, type LampPlan, type LampWish } from './lamp-plan';
import { lightWays, type LightWay, type LightWaysParams } from './light-ways';
import { tierField, type TierField } from './tier-field';

export * from './beside';
export * from './best-taxa';
export * from './cases';
export * from './compare-reading';
export { homeAnswers, type HomeAnswers, type PlantAnswer, type When } from './home-answers';
export * from './light-year';
export * from './lamp-plan';
export * from './light-ways';
export * from './losses';
export * from './packed';
export * from './plants-for-spot';
export { rank, type RankParams } from './rank';
export * from './room-air';
export * from './room-day';
export * from './sunlight-map';
export * from './tier-field';

/** What each question takes and answers. Both are plain data, typed arrays among it, so that they cross to a worker. */
export interface Questions {
  home: { params: When; answer: HomeAnswers };
  mends: { params: When; answer: PlantMends[] };
  plan: { params: PlanAsked; answer: HomePlan };
  rank: { params: RankParams; answer: RankedSpot[] };
  bestTaxa: { params: BestTaxaParams; answer: TaxonFit[] };
  plantsForSpot: { params: PlantsForSpotParams; answer: PlantForSpot[] };
  sunlightMap: { params: SunlightMapParams; answer: SunlightMap | null };
  roomDay: { params: RoomDayParams; answer: RoomDay | null };
  roomAir: { params: RoomAirParams; answer: RoomAir | null };
  airMap: { params: RoomAirParams; answer: AirMap | null };
  airRemedy: { params: RemedyParams; answer: RemedyAnswer | null };
  enclosure: { params: EnclosureParams; answer: EnclosureAnswer | null };
  learnRoom: { params: LearnRoomParams; answer: RoomLesson | null };
  lightYear: { params: LightYearParams; answer: LightYear | null };
  beside: { params: BesideParams; answer: Beside[] };
  losses: { params: LossesParams; answer: Losses | null };
  compareReading: { params: CompareReadingParams; answer: ComparedReading | null };
  tierField: { params: { readonly tierId: string; readonly year: number }; answer: TierField | null };
  lampPlan: {
    params: { readonly tierId: string; readonly wish: LampWish; readonly year: number };
    answer: LampPlan | null;
  };
  lightWays: { params: LightWaysParams; answer: LightWay[] };
}

export type QuestionName = keyof Questions;
export type ParamsOf<Q extends QuestionName> = Questions[Q]['params'];
export type AnswerOf<Q extends QuestionName> = Questions[Q]['answer'];

/** How a question is answered: at once, or in steps between which it can be dropped. */
type Answering<Q extends QuestionName> = (
  engine: HomeEngine,
  facts: HomeFacts,
  params: ParamsOf<Q>,
) => Working<AnswerOf<Q>> | AnswerOf<Q>;

/** Work in steps: yields the share that is done, or with it the best answer so far, and returns the answer. */
export type Working<T> = Generator<number | PlanInterim, T, void>;

const ANSWERS: { readonly [Q in QuestionName]: Answering<Q> } = {
  home: homeAnswers,
  mends,
  plan,
  rank,
  bestTaxa,
  plantsForSpot,
  sunlightMap,
  roomDay,
  roomAir,
  airMap,
  airRemedy,
  enclosure: tryEnclosure,
  learnRoom,
  lightYear,
  beside,
  losses,
  compareReading,
  tierField,
  lampPlan,
  lightWays,
};

const isSteps = (answer: unknown): answer is Working<unknown> =>
  typeof answer === 'object' && answer !== null && Symbol.iterator in answer && 'next' in answer;

/** Answers a question in steps. */
export function* answerSteps<Q extends QuestionName>(
  engine: HomeEngine,
  facts: HomeFacts,
  question: Q,
  params: ParamsOf<Q>,
): Working<AnswerOf<Q>> {
  const answer = ANSWERS[question](engine, facts, params);
  return isSteps(answer) ? ((yield* answer) as AnswerOf<Q>) : (answer as AnswerOf<Q>);
}

/**
 * Answers a question at once.
 * @example ask(new HomeEngine(knowledge), facts, 'home', { year: 2026, month: 11 }).plants[0].fit
 */
export function ask<Q extends QuestionName>(
  engine: HomeEngine,
  facts: HomeFacts,
  question: Q,
  params: ParamsOf<Q>,
): AnswerOf<Q> {
  return finish(answerSteps(engine, facts, question, params));
}
