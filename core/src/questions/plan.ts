/** The plan of a home: where each plant should stand and how each timer should run. */
import type { HomeFacts } from '../facts';
import type { HomeEngine } from '../home';
import { planHome, type PlanAsked, type PlanWork } from '../planning';
import { conditionsOf, homeAnswers, standingOf } from './home-answers';

/** The home as it is takes this share of the work. */
const ANSWERS_SHARE = 0.3;

export function* plan(engine: HomeEngine, facts: HomeFacts, asked: PlanAsked): PlanWork {
  const answering = homeAnswers(engine, facts, asked);
  let step = answering.next();
  for (; !step.done; step = answering.next()) yield ANSWERS_SHARE * step.value;
  const answers = step.value;
  const conditions = conditionsOf(answers);
  const ground = {
    standing: new Map(facts.plants.map((plant) => [plant.id, standingOf(engine, facts, plant, asked, conditions)])),
    conditions,
    scores: new Map(answers.plants.map(({ plantId, fit }) => [plantId, fit?.verdict.score ?? null])),
  };
  const planning = planHome(engine, facts, asked, ground);
  let next = planning.next();
  for (; !next.done; next = planning.next()) {
    const { value } = next;
    const later = (share: number) => ANSWERS_SHARE + (1 - ANSWERS_SHARE) * share;
    yield typeof value === 'number' ? later(value) : { ...value, share: later(value.share) };
  }
  return next.value;
}
