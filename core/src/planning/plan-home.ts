/**
 * The plan of a whole home. What each plant is worth on each spot under each setting of its timers is worked out by the
 * light and air engines; a joint plan is solved in rounds between plan and light; then each timer is set month by month,
 * and every figure that is told is worked out in the home as it would be.
 */
import type { HomeFacts } from '../facts';
import type { HomeEngine } from '../home';
import { placedSpots } from '../room';
import { curtainMenus } from './curtain-menu';
import type { Desk, PlanAsked, PlanGround } from './desk';
import { raisesOf } from './hanging';
import { lightAtHeights } from './heights';
import { layoutOf, wantingOf } from './home-problem';
import { lightUnder, menusOfSpots } from './light-under';
import type { PlanWork } from './proposal';
import { inRounds } from './rounds';
import { planSettingsOf } from './settings';
import { timerMenu } from './timer-menu';
import { workedOut } from './worked-out';

/** Share of the work that is done when the light as it is, the light at several heights, and the rounds are. */
const SHARES = { now: 0.1, light: 0.4, rounds: 0.9 } as const;

export function* planHome(engine: HomeEngine, facts: HomeFacts, asked: PlanAsked, ground: PlanGround): PlanWork {
  const settings = planSettingsOf(facts);
  const isKnown = (id: string) => (ground.standing.get(id)?.targets.length ?? 0) > 0;
  const plants = facts.plants.filter(({ id }) => isKnown(id));
  const spots = placedSpots(facts);
  if (plants.length === 0 || spots.length === 0) return { state: 'nothing' };
  const timerMenus = facts.circuits.map((circuit) => timerMenu(circuit, facts.home.latitude, raisesOf(facts, circuit)));
  const menus = [...timerMenus, ...curtainMenus(facts, settings)];
  const layout = layoutOf(engine, facts, { settings, plants, spots, menus, month: asked.month });
  const wanting = wantingOf(layout, ground.standing);
  const timers = menusOfSpots(engine, facts, { year: asked.year, spots, menus });
  const lighting = lightUnder(engine, facts, {
    year: asked.year,
    menus,
    spotIds: spots.map(({ spot }) => spot.id),
    timers,
    airOf: facts,
  });
  let step = lighting.next();
  for (; !step.done; step = lighting.next()) yield SHARES.now * step.value;
  const lights = step.value;
  const atHeights = lightAtHeights(engine, layout, { year: asked.year, timers, lights });
  let next = atHeights.next();
  for (; !next.done; next = atHeights.next()) yield SHARES.now + (SHARES.light - SHARES.now) * next.value;
  const desk: Desk = { engine, layout, wanting, lights, byHeight: next.value, own: new Map(), asked, ground };
  const rounds = inRounds(desk);
  const later = (share: number) => SHARES.light + (SHARES.rounds - SHARES.light) * share;
  let round = rounds.next();
  for (; !round.done; round = rounds.next()) {
    const { value } = round;
    yield typeof value === 'number' ? later(value) : { ...value, share: later(value.share) };
  }
  const outcome = round.value;
  if (outcome.state === 'impossible') return { state: 'impossible', clash: outcome.clash.map(({ id }) => id) };
  if (outcome.state === 'undecided') return { state: 'undecided' };
  const working = workedOut(desk, outcome.tried, outcome.rounds);
  let last = working.next();
  for (; !last.done; last = working.next()) yield SHARES.rounds + (1 - SHARES.rounds) * last.value;
  return last.value;
}
