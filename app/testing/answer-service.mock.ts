/** Workers do not run in component tests: the core's own answerer stands in, its answers coming a turn later as a worker's do. */
import { knowledge } from '@dulvan/catalogue';
import { Answerer } from '@dulvan/core';

export const answerer = new Answerer(knowledge);

const service = {
  answer: (...given: Parameters<Answerer['answer']>) => Promise.resolve(answerer.answer(...given)),
  rank: (...given: Parameters<Answerer['rank']>) => Promise.resolve(answerer.rank(...given)),
  wash: (...given: Parameters<Answerer['wash']>) => Promise.resolve(answerer.wash(...given)),
};

export const answerService = () => service;
