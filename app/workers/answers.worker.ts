/** Computes a home's answers off the main thread. */
import { knowledge } from '@dulvan/catalogue';
import { Answerer } from '@dulvan/core';
import { expose } from 'comlink';

const answerer = new Answerer(knowledge);

const service = {
  answer: answerer.answer.bind(answerer),
  rank: answerer.rank.bind(answerer),
  wash: answerer.wash.bind(answerer),
};
export type AnswerService = typeof service;

expose(service);
