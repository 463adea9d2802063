/** The home as it would be by a plan, and what each plant has in it. */
import { applied, type HomeFacts } from '../facts';
import { verdictScore, type Condition } from '../fit';
import type { HomeEngine } from '../home';
import { carried } from '../match';
import type { Plan } from '../plan';
import { hangingChanges } from './hanging';
import { humidityChange, type Humidity } from './other-settings';
import { changesOfYear, isTimer, raiseOf } from './menu';
import type { Layout } from './home-problem';
import { judgedBy, type Wanting } from './worth';

/** By menu: the year it has by a plan; of several seasons each month by its season's setting. */
export function timerYears(
  { menus, seasons }: Pick<Layout, 'menus' | 'seasons'>,
  { settings }: Pick<Plan, 'settings'>,
) {
  return menus.map(({ years }, c) => {
    const year = new Array<number>(12);
    seasons.forEach((months, season) => {
      for (const month of months) year[month - 1] = years[settings[season]![c]!]![month - 1]!;
    });
    return year;
  });
}

/** By menu and season: by how much higher than now its lamps hang, m. */
export const raisesBySeason = (
  { menus, seasons }: Pick<Layout, 'menus' | 'seasons'>,
  years: readonly (readonly number[])[],
): number[][] => menus.map((menu, c) => seasons.map((months) => raiseOf(menu, years[c]![months[0]! - 1]!)));

/** A home with plants where a season has them, timers and curtains set and lamps hung. @param on YYYY-MM-DD */
export function homeInSeason(
  layout: Layout,
  { at, season }: { readonly at: readonly number[]; readonly season: number },
  years: readonly (readonly number[])[],
  on: string,
): HomeFacts {
  const { facts, plants, spots, menus } = layout;
  const raises = raisesBySeason(layout, years);
  const set = menus.flatMap((menu, c) => [
    ...changesOfYear(menu, years[c]!),
    ...(isTimer(menu) ? hangingChanges(facts, menu.circuit, raises[c]![season]!) : []),
  ]);
  const moves = plants.flatMap((plant, p) => {
    const spotId = spots[at[p]!]!.spot.id;
    return spotId === plant.spotId ? [] : [carried(plant, spotId, on)];
  });
  return applied(facts, [...moves, ...set])!;
}

/** The home of each season, and twelve months of each plant through them. */
export interface PlannedHome {
  readonly homes: readonly HomeFacts[];
  readonly years: readonly (readonly Condition[])[];
}

/** How a home is set by a plan. */
export interface Planned {
  /** The year of each timer and curtain, by menu. */
  readonly timers: readonly (readonly number[])[];
  readonly year: number;
  /** YYYY-MM-DD. */
  readonly on: string;
  readonly humidity?: readonly Humidity[];
}

export function plannedHome(
  engine: HomeEngine,
  layout: Layout,
  plan: Pick<Plan, 'spots'>,
  { timers, year, on, humidity = [] }: Planned,
): PlannedHome {
  const { facts, plants, spots, seasons } = layout;
  const set = humidity.map(humidityChange);
  const homes = plan.spots.map((at, season) => applied(homeInSeason(layout, { at, season }, timers, on), set)!);
  const lit = homes.map((home, season) => {
    const asked = [...new Set(plan.spots[season]!.map((spot) => spots[spot]!.spot.id))];
    // Lamps warm their rooms: the air is the planned home's own.
    return engine.conditionsAt(home, asked, year, home, facts);
  });
  const years = plants.map((_, p) => {
    const months = new Array<Condition>(12);
    seasons.forEach((own, season) => {
      const there = lit[season]!.get(spots[plan.spots[season]![p]!]!.spot.id)!;
      for (const month of own) months[month - 1] = there[month - 1]!;
    });
    return months;
  });
  return { homes, years };
}

/** A plant's verdict through some year, 0..1, by the years that the plan is for. */
export const scoreThrough = (
  { settings }: Layout,
  { targets, reserveLeft }: Wanting,
  year: readonly Condition[],
  fromMonth: number,
): number => verdictScore(targets, judgedBy(settings.years, year), fromMonth, reserveLeft);
