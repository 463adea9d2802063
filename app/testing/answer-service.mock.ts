/** Workers do not run in component tests: the core's own answerer stands in, its answers coming a turn later as a worker's do. */
import { knowledge } from '@dulvan/catalogue';
import { Answerer, LightQuestions, lampPlan, tierField, type HomeFacts, type LampWish } from '@dulvan/core';

export const answerer = new Answerer(knowledge);
const light = new LightQuestions(answerer);

const service = {
  answer: (...given: Parameters<Answerer['answer']>) => Promise.resolve(answerer.answer(...given)),
  rank: (...given: Parameters<Answerer['rank']>) => Promise.resolve(answerer.rank(...given)),
  bestTaxa: (...given: Parameters<Answerer['bestTaxa']>) => Promise.resolve(answerer.bestTaxa(...given)),
  wash: (...given: Parameters<Answerer['wash']>) => Promise.resolve(answerer.wash(...given)),
  roomDay: (...given: Parameters<LightQuestions['roomDay']>) => Promise.resolve(light.roomDay(...given)),
  lightYear: (...given: Parameters<LightQuestions['lightYear']>) => Promise.resolve(light.lightYear(...given)),
  beside: (...given: Parameters<LightQuestions['beside']>) => Promise.resolve(light.beside(...given)),
  losses: (...given: Parameters<LightQuestions['losses']>) => Promise.resolve(light.losses(...given)),
  compare: (...given: Parameters<LightQuestions['compare']>) => Promise.resolve(light.compare(...given)),
  tierField: (facts: HomeFacts, tierId: string, year: number) => Promise.resolve(tierField(answerer, facts, tierId, year)),
  lampPlan: (facts: HomeFacts, tierId: string, wish: LampWish, year: number) => Promise.resolve(lampPlan(answerer, facts, tierId, wish, year)),
};

export const answerService = () => service;
