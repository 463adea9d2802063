/** A plan that was found, worked out: timers month by month, humidifiers, and every figure by the engines. */
import { verdictScore } from '../fit';
import type { Steps } from '../home';
import { setMonthByMonth } from './by-month';
import { atCheapHours } from './cheap-hours';
import { curtainsOf } from './curtain-menu';
import { lightOf, worthTogether, type Desk } from './desk';
import { energyWorth, type Layout } from './home-problem';
import { isTimer } from './menu';
import { humidities, humiditiesThatPay, type Humidity } from './other-settings';
import { plannedHome, scoreThrough, timerYears } from './planned-home';
import type { FoundPlan, OtherProposal } from './proposal';
import { proposal } from './propose';
import type { Tried } from './rounds';

/** How a home is set: years of its menus, and humidifiers set otherwise. */
interface Setting {
  readonly layout: Layout;
  readonly years: readonly (readonly number[])[];
  readonly humidity: readonly Humidity[];
}

/** Works out what plants come to with a plan's places under a setting. */
function worker({ engine, layout, wanting, asked }: Desk, { plan }: Tried) {
  return (setting: Setting) => {
    const { years: timers, humidity } = setting;
    const { year, on } = asked;
    const planned = plannedHome(engine, setting.layout, plan, { timers, year, on, humidity });
    const scores = wanting.map((one, p) => scoreThrough(layout, one, planned.years[p]!, asked.month));
    return { ...setting, planned, scores, worth: worthTogether(wanting, scores) - energyWorth(planned.homes[0]!) };
  };
}

/** Yields the share that is done. */
export function* workedOut(desk: Desk, tried: Tried, rounds: number): Steps<FoundPlan> {
  const { layout, wanting, asked } = desk;
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
    { layout, years: start, humidity: [] },
    { layout, years: tuned, humidity: [] },
    ...(cheap ? [{ layout: { ...layout, menus: cheap }, years: tuned, humidity: [] }] : []),
  ];
  yield 0;
  const work = worker(desk, tried);
  const dry = settings.map(work).reduce((p, q) => (q.worth > p.worth ? q : p));
  const ways = humidities(layout.facts, layout.settings);
  const paying = humiditiesThatPay(layout.facts, ways, (humidity) => work({ ...dry, humidity }).worth);
  let step = paying.next();
  for (; !step.done; step = paying.next()) yield step.value;
  const chosen = step.value.length > 0 ? work({ ...dry, humidity: step.value }) : dry;
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
    others: othersOf(chosen, work),
  });
}

/** Curtains and humidifiers that are set otherwise, each with what it alone does. */
function othersOf(chosen: Setting & { readonly scores: readonly number[] }, work: ReturnType<typeof worker>) {
  const { layout, years, humidity } = chosen;
  const without = (less: Partial<Setting>) => gainsOf(layout, chosen.scores, work({ ...chosen, ...less }).scores);
  const curtains = layout.menus.flatMap((menu, c): OtherProposal[] => {
    if (isTimer(menu) || `${years[c]!}` === `${menu.years[0]!}`) return [];
    const setting = { kind: 'curtain', windowId: menu.window.id, curtains: curtainsOf(menu, years[c]!) } as const;
    return [{ setting, gains: without({ years: years.map((year, i) => (i === c ? menu.years[0]! : year)) }) }];
  });
  const moist = humidity.map((setting): OtherProposal => {
    const others = humidity.filter((other) => other !== setting);
    return { setting, gains: without({ humidity: others }) };
  });
  return [...curtains, ...moist];
}

/** A change of a verdict that is worth telling. */
const TOLD_POINTS = 0.01;

/** Whose verdict a setting changes, those that change most first. */
const gainsOf = ({ plants }: Layout, withIt: readonly number[], before: readonly number[]) =>
  plants
    .map(({ id }, p) => ({ plantId: id, points: withIt[p]! - before[p]! }))
    .filter(({ points }) => Math.abs(points) >= TOLD_POINTS)
    .sort((p, q) => Math.abs(q.points) - Math.abs(p.points));
