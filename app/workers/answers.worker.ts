/** Computes a home's answers off the main thread. */
import { knowledge } from '@dulvan/catalogue';
import { Answerer, LightQuestions, lampPlan, tierField, type HomeFacts, type LampWish } from '@dulvan/core';
import { expose } from 'comlink';

const answerer = new Answerer(knowledge);
const light = new LightQuestions(answerer);

const service = {
  answer: answerer.answer.bind(answerer),
  rank: answerer.rank.bind(answerer),
  bestTaxa: answerer.bestTaxa.bind(answerer),
  wash: answerer.wash.bind(answerer),
  roomDay: light.roomDay.bind(light),
  lightYear: light.lightYear.bind(light),
  beside: light.beside.bind(light),
  losses: light.losses.bind(light),
  compare: light.compare.bind(light),
  tierField: (facts: HomeFacts, tierId: string, year: number) => tierField(answerer, facts, tierId, year),
  lampPlan: (facts: HomeFacts, tierId: string, wish: LampWish, year: number) => lampPlan(answerer, facts, tierId, wish, year),
};
export type AnswerService = typeof service;

expose(service);
