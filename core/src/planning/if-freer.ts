/** What a timer would do for a plant that does poorly by the plan, if more of it might be changed. */
import { applied, type HomeFacts, type TimerFreedom } from '../facts';
import { hoursOf } from '../lamp';
import { heightFree } from '../match';
import { lightOf, type Desk } from './desk';
import { raisesOf } from './hanging';
import { changesAllYear, isTimer } from './menu';
import { scoreThrough } from './planned-home';
import type { IfFreer } from './proposal';
import { timerMenu } from './timer-menu';

/** Of plants that do no better than this it is told. */
const POOR = 0.75;
/** What it must bring to be told. */
const WORTH_TELLING = 0.05;

/** The next more that may be changed of a timer. */
const NEXT: Readonly<Partial<Record<TimerFreedom, TimerFreedom>>> = {
  nothing: 'hours-and-level',
  hours: 'hours-and-level',
  'hours-and-level': 'hours-level-and-height',
};

/**
 * The best that the timer over a plant would make of its spot by the plan, for that plant alone and all year, with the
 * next freedom its grower could give, in the air it has by the plan; null where that would not help or all is free.
 * @param home by the plan @param spot index of the layout @param score the plant's there
 */
export function ifFreer(
  desk: Desk,
  p: number,
  { home, spot, score }: { readonly home: HomeFacts; readonly spot: number; readonly score: number },
): IfFreer | null {
  if (score > POOR) return null;
  const { engine, layout, wanting, asked } = desk;
  const first = lightOf(desk)(p, spot)
    .timers.map((menu) => layout.menus[menu]!)
    .find(isTimer);
  const freedom = first && NEXT[first.circuit.freedom];
  if (!first || !freedom) return null;
  const circuit = { ...home.circuits.find(({ id }) => id === first.circuit.id)!, freedom };
  const menu = timerMenu(circuit, home.home.latitude, raisesOf(home, circuit));
  const spotId = layout.spots[spot]!.spot.id;
  const tallM = (layout.plants[p]!.heightCm ?? 0) / 100;
  let best: IfFreer | null = null;
  menu.ways.forEach(({ spans, level, raiseM }, way) => {
    if (raiseM === 0 && level === 1) return;
    const set = applied(home, changesAllYear(home, menu, way))!;
    if (
      raiseM < 0 &&
      heightFree(
        set,
        set.spots.find(({ id }) => id === spotId)!,
      ) < tallM
    )
      return;
    const year = engine.conditionsAt(set, [spotId], asked.year, home, layout.facts).get(spotId)!;
    const found = scoreThrough(layout, wanting[p]!, year, asked.month);
    if (found < Math.max(score + WORTH_TELLING, best?.score ?? 0)) return;
    best = { circuitId: circuit.id, freedom, hours: hoursOf(spans), level, raiseM, score: found };
  });
  return best;
}
