/** What a plant's present spot could be by its timers alone. */
import { hoursOf } from '../lamp';
import { lightOf, type Desk } from './desk';
import { isTimer } from './menu';
import { scoreThrough } from './planned-home';
import type { PlantProposal } from './proposal';

/** The best way to burn all year of the timer that lights it most; null where none does, or it stands nowhere. */
export function hereAtBest(desk: Desk, p: number): PlantProposal['here'] {
  const { layout, wanting, asked } = desk;
  const spot = layout.spots.findIndex(({ spot: one }) => one.id === layout.plants[p]!.spotId);
  if (spot < 0) return null;
  const light = lightOf(desk)(p, spot);
  const [first] = light.timers;
  if (first === undefined) return null;
  const menu = layout.menus[first]!;
  if (!isTimer(menu)) return null;
  const others = light.timers.slice(1).map((other) => layout.menus[other]!.ways.length);
  const stride = others.reduce((product, count) => product * count, 1);
  const scores = menu.ways.map((_, way) => scoreThrough(layout, wanting[p]!, light.years[way * stride]!, asked.month));
  const best = scores.indexOf(Math.max(...scores));
  const { spans, level, raiseM } = menu.ways[best]!;
  return { circuitId: menu.circuit.id, hours: hoursOf(spans), level, raiseM, score: scores[best]! };
}
