/** The questions that screens ask, put to one answerer, which remembers between them. */
import { beside, compareReading, lampPlan, lightYear, losses, roomDay, tierField, type Answerer } from '@dulvan/core';

export function questionsOf(answerer: Answerer) {
  const asked =
    <Given extends unknown[], Told>(question: (answerer: Answerer, ...given: Given) => Told) =>
    (...given: Given): Told =>
      question(answerer, ...given);
  return {
    answer: answerer.answer.bind(answerer),
    rank: answerer.rank.bind(answerer),
    bestTaxa: answerer.bestTaxa.bind(answerer),
    wash: answerer.wash.bind(answerer),
    roomDay: asked(roomDay),
    lightYear: asked(lightYear),
    beside: asked(beside),
    losses: asked(losses),
    compareReading: asked(compareReading),
    tierField: asked(tierField),
    lampPlan: asked(lampPlan),
  };
}

export type Questions = ReturnType<typeof questionsOf>;
