/** The questions that screens ask, put to one engine, which remembers between them. */
import { beside, compareReading, lampPlan, lightYear, losses, roomDay, tierField, type HomeEngine } from '@dulvan/core';

export function questionsOf(engine: HomeEngine) {
  const asked =
    <Given extends unknown[], Told>(question: (engine: HomeEngine, ...given: Given) => Told) =>
    (...given: Given): Told =>
      question(engine, ...given);
  return {
    answer: engine.answer.bind(engine),
    rank: engine.rank.bind(engine),
    bestTaxa: engine.bestTaxa.bind(engine),
    wash: engine.wash.bind(engine),
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
