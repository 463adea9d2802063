/**
 * Timers month by month, once it is settled what stands under them: each month the way that is worth most to all of
 * them together, less its electricity, until no month of any timer would be better set otherwise.
 */
import { YEAR_FIGURES, doingsOf, scoreOfDoings, takeMonth } from '../fit';
import { costsByWay, type Layout } from './home-problem';
import { wayIn, type SpotLight } from './light-under';
import { isTimer, raiseOf } from './menu';
import { judgedBy, worthOfVerdict, type Wanting } from './worth';

/** A plant where it stands by the plan, month by month. */
export interface StandingPlant {
  readonly wanting: Wanting;
  /** The light of its spot in each month, January first. */
  readonly lightOf: (month0: number) => SpotLight;
}

const MOST_SWEEPS = 4;
/** A change is worth making from here on, verdict points. */
const WORTH_MORE = 1e-4;

/** Setting a timer anew is a walk to it, and a year of many settings is hard to keep in mind: judgement. */
const TURNING_COST = 0.02;

/** How often in a year a timer is set anew. */
const turnings = (year: readonly number[]): number =>
  year.reduce((count, way, month0) => count + Number(way !== year[(month0 + 11) % 12]), 0);

/** What each way of a plant's timers does to it, worked out once for each light it has. */
function doingsBy({ settings }: Layout, { wanting, lightOf }: StandingPlant) {
  const known = new Map<SpotLight, Float64Array[]>();
  return (month0: number) => {
    const light = lightOf(month0);
    let own = known.get(light);
    if (!own) {
      own = light.years.map((year) => doingsOf(wanting.targets, judgedBy(settings.years, year)));
      known.set(light, own);
    }
    return { light, own };
  };
}

/** @param start the year of each timer; @return the same, bettered */
export function setMonthByMonth(
  layout: Layout,
  standing: readonly StandingPlant[],
  start: readonly (readonly number[])[],
  fromMonth: number,
): number[][] {
  const { menus } = layout;
  const years = start.map((year) => [...year]);
  const doings = standing.map((plant) => doingsBy(layout, plant));
  const costs = menus.map((menu) => costsByWay(menu, layout.facts));
  const together = new Float64Array(YEAR_FIGURES);
  const worthOfPlant = (plant: number) => {
    const { wanting } = standing[plant]!;
    for (let month0 = 0; month0 < 12; month0++) {
      const { light, own } = doings[plant]!(month0);
      takeMonth(together, own[wayIn(light, menus, years, month0)]!, month0);
    }
    const score = scoreOfDoings(wanting.targets, together, fromMonth, wanting.reserveLeft);
    return wanting.weight * worthOfVerdict(score);
  };
  /** Sets one month of a timer as is best while all else stays; whether that is another way than before. */
  const bettered = (menu: number, month0: number): boolean => {
    const under = standing.flatMap((_, plant) => (doings[plant]!(month0).light.timers.includes(menu) ? [plant] : []));
    const worthOf = (way: number) => {
      years[menu]![month0] = way;
      const worth = under.reduce((sum, plant) => sum + worthOfPlant(plant), 0);
      return worth - costs[menu]![way]![month0]! - TURNING_COST * turnings(years[menu]!);
    };
    const before = years[menu]![month0]!;
    let best = { way: before, worth: worthOf(before) };
    const own = menus[menu]!;
    own.ways.forEach((_, way) => {
      // A lamp is not hung anew from month to month.
      if (raiseOf(own, way) !== raiseOf(own, before)) return;
      const worth = way === before ? best.worth : worthOf(way);
      if (worth > best.worth + WORTH_MORE) best = { way, worth };
    });
    years[menu]![month0] = best.way;
    return best.way !== before;
  };
  for (let sweep = 0; sweep < MOST_SWEEPS; sweep++) {
    let changed = 0;
    menus.forEach((own, menu) => {
      // A curtain is drawn by halves of the year: nobody does it by the month.
      if (!isTimer(own) || own.circuit.freedom === 'nothing') return;
      for (let month0 = 0; month0 < 12; month0++) changed += Number(bettered(menu, month0));
    });
    if (changed === 0) break;
  }
  return years;
}
