/** The desk at which a home is planned: its layout, what each plant wants, and the light it is planned by. */
import type { Condition } from '../fit';
import type { HomeEngine } from '../home';
import type { Plan } from '../plan';
import { heightClass } from './heights';
import type { Layout } from './home-problem';
import { wayIn, type SpotLight } from './light-under';
import { scoreThrough, timerYears } from './planned-home';
import { worthOfVerdict, type Wanting } from './worth';

export interface PlanAsked {
  readonly year: number;
  /** 1..12, the month that is on. */
  readonly month: number;
  /** The day it is made, YYYY-MM-DD. */
  readonly on: string;
  /** `least` plans once, for who will not wait for better. */
  readonly effort: 'whole' | 'least';
}

/** What each plant wants where it stands, and what it has there: worked out before the plan is asked for. */
export interface PlanGround {
  readonly standing: ReadonlyMap<string, Pick<Wanting, 'targets' | 'reserveLeft'>>;
  /** Verdicts as it is, by plant; null where it stands nowhere. */
  readonly scores: ReadonlyMap<string, number | null>;
  /** Twelve months of every spot as it is. */
  readonly conditions: ReadonlyMap<string, readonly Condition[]>;
}

/** All that a home is planned by. */
export interface Desk {
  readonly engine: HomeEngine;
  readonly layout: Layout;
  readonly wanting: readonly Wanting[];
  /** By spot, as who stands there now has it. */
  readonly lights: readonly SpotLight[];
  /** By height of a plant and spot: as a plant of about that height would have it. */
  readonly byHeight: readonly (readonly SpotLight[])[];
  /** By plant and spot, where it has been worked out for the plant itself. */
  readonly own: Map<number, SpotLight>;
  readonly asked: PlanAsked;
  readonly ground: PlanGround;
}

/** Of a plant where it stands, its spot's own; elsewhere that of a plant as tall, until it has been worked out. */
export const lightOf = ({ lights, own, layout, byHeight }: Desk) => {
  const heights = layout.plants.map(heightClass);
  return (plant: number, spot: number): SpotLight => {
    const found = own.get(plant * layout.spots.length + spot);
    if (found) return found;
    const stands = layout.plants[plant]!.spotId === layout.spots[spot]!.spot.id;
    return stands ? lights[spot]! : byHeight[heights[plant]!]![spot]!;
  };
};

/** Worth of verdicts of all plants. */
export const worthTogether = (wanting: readonly Wanting[], scores: readonly number[]): number =>
  wanting.reduce((sum, { weight }, p) => sum + weight * worthOfVerdict(scores[p]!), 0);

/** A plant's verdict through the year by the table: months of each season on the season's spot. */
export function tableScore(desk: Desk, plan: Plan, plant: number): number {
  const { layout, wanting, asked } = desk;
  const years = timerYears(layout, plan);
  const months = layout.seasons.flatMap((own, season) => {
    const light = lightOf(desk)(plant, plan.spots[season]![plant]!);
    return own.map((month) => ({
      month,
      condition: light.years[wayIn(light, layout.menus, years, month - 1)]![month - 1]!,
    }));
  });
  const year = months.sort((p, q) => p.month - q.month).map(({ condition }) => condition);
  return scoreThrough(layout, wanting[plant]!, year, asked.month);
}
