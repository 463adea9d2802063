/**
 * The plan of a whole home. What each plant is worth on each spot under each setting of its timers is worked out by the
 * light and air engines; a joint plan is solved in rounds between plan and light; then each timer is set month by month,
 * and every figure that is told is worked out in the home as it would be.
 */
import type { HomeFacts } from '../facts';
import { verdictScore } from '../fit';
import type { HomeEngine, Steps } from '../home';
import { placedSpots } from '../room';
import { setMonthByMonth } from './by-month';
import { atCheapHours } from './cheap-hours';
import { lightOf, worthTogether, type Desk, type PlanAsked, type PlanGround } from './desk';
import { lightAtHeights } from './heights';
import { raisesOf } from './hanging';
import { energyWorth, layoutOf, wantingOf, type Layout } from './home-problem';
import { lightUnder, timersOfSpots } from './light-under';
import { plannedHome, scoreThrough, timerYears } from './planned-home';
import { otherSettings, settingsThatPay, type OtherSetting } from './other-settings';
import type { FoundPlan, PlanWork } from './proposal';
import { proposal } from './propose';
import { inRounds, type Tried } from './rounds';
import { planSettingsOf } from './settings';
import { timerMenu } from './timer-menu';

/** Share of the work that is done when the light as it is, the light at several heights, and the rounds are. */
const SHARES = { now: 0.1, light: 0.4, rounds: 0.9 } as const;

export function* planHome(engine: HomeEngine, facts: HomeFacts, asked: PlanAsked, ground: PlanGround): PlanWork {
  const settings = planSettingsOf(facts);
  const isKnown = (id: string) => (ground.standing.get(id)?.targets.length ?? 0) > 0;
  const plants = facts.plants.filter(({ id }) => isKnown(id));
  const spots = placedSpots(facts);
  if (plants.length === 0 || spots.length === 0) return { state: 'nothing' };
  const menus = facts.circuits.map((circuit) => timerMenu(circuit, facts.home.latitude, raisesOf(facts, circuit)));
  const layout = layoutOf(engine, facts, { settings, plants, spots, menus, month: asked.month });
  const wanting = wantingOf(layout, ground.standing);
  const timers = timersOfSpots(engine, facts, { year: asked.year, spots, menus });
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
  yield SHARES.rounds;
  return yield* workedOut(desk, outcome.tried, outcome.rounds);
}

/** The best plan with its timers set month by month, and every figure as the engines find it in the changed home. */
function* workedOut(desk: Desk, tried: Tried, rounds: number): Steps<FoundPlan> {
  const { engine, layout, wanting, asked } = desk;
  const { plan } = tried;
  const start = timerYears(layout, plan);
  const standing = wanting.map((one, p) => ({
    wanting: one,
    lightOf: (month0: number) => {
      const season = layout.seasons.findIndex((months) => months.includes(month0 + 1));
      return lightOf(desk)(p, plan.spots[season]![p]!);
    },
  }));
  const tuned = setMonthByMonth(layout, standing, start, asked.month);
  const cheap = atCheapHours(layout.menus, layout.facts.tariffs);
  // What the table promised of a setting may not come true with all plants in their places: each is worked out.
  const settings: Setting[] = [
    { layout, years: start },
    { layout, years: tuned },
    ...(cheap ? [{ layout: { ...layout, menus: cheap }, years: tuned }] : []),
  ];
  const work = (setting: Setting, others: readonly OtherSetting[] = []) => {
    const { year, on } = asked;
    const planned = plannedHome(engine, setting.layout, plan, { timers: setting.years, year, on, others });
    const scores = wanting.map((one, p) => scoreThrough(layout, one, planned.years[p]!, asked.month));
    return {
      ...setting,
      others,
      planned,
      scores,
      worth: worthTogether(wanting, scores) - energyWorth(planned.homes[0]!),
    };
  };
  const best = settings.map((setting) => work(setting)).reduce((p, q) => (q.worth > p.worth ? q : p));
  const ways = otherSettings(layout.facts, layout.settings);
  const paying = settingsThatPay(layout.facts, ways, (others) => work(best, others).worth);
  let step = paying.next();
  for (; !step.done; step = paying.next()) yield SHARES.rounds + (1 - SHARES.rounds) * step.value;
  const chosen = step.value.length > 0 ? work(best, step.value) : best;
  return proposal({ ...desk, layout: chosen.layout }, tried.problem, plan, {
    certainty: 'worked-out',
    years: chosen.years,
    scores: wanting.map(({ targets, reserveLeft }, p) =>
      verdictScore(targets, chosen.planned.years[p]!, asked.month, reserveLeft),
    ),
    through: chosen.planned.years,
    home: chosen.planned.homes[0]!,
    found: tried.found,
    rounds,
    stillOff: tried.off,
    others: step.value.map((setting) => ({
      setting,
      gains: gainsOf(layout, chosen.scores, work(best, without(step.value, setting)).scores),
    })),
  });
}

/** Years of the timers, by the menus of a layout. */
interface Setting {
  readonly layout: Layout;
  readonly years: readonly (readonly number[])[];
}

const without = (all: readonly OtherSetting[], one: OtherSetting) => all.filter((other) => other !== one);

/** A change of a verdict that is worth telling. */
const TOLD_POINTS = 0.01;

/** Whose verdict a setting changes, those that change most first. */
const gainsOf = ({ plants }: Layout, withIt: readonly number[], before: readonly number[]) =>
  plants
    .map(({ id }, p) => ({ plantId: id, points: withIt[p]! - before[p]! }))
    .filter(({ points }) => Math.abs(points) >= TOLD_POINTS)
    .sort((p, q) => Math.abs(q.points) - Math.abs(p.points));
