/** What a plan may set, each with its menu: timers and curtains. */
import { patch, type Change, type HomeFacts } from '../facts';
import { curtainsOf, type CurtainMenu } from './curtain-menu';
import { hangingChanges } from './hanging';
import { ALL_MONTHS } from '../units';
import { burnsAsNow, programmeOf, type TimerMenu, type TimerYear } from './timer-menu';

export type Menu = TimerMenu | CurtainMenu;

export const isTimer = (menu: Menu): menu is TimerMenu => menu.kind === 'timer';

/** By how much higher than now the lamps of a menu hang in one of its ways, m. */
export const raiseOf = (menu: Menu, way: number): number => (isTimer(menu) ? menu.ways[way]!.raiseM : 0);

/** What sets a menu one way all year. */
export function changesAllYear(facts: HomeFacts, menu: Menu, way: number): Change[] {
  if (!isTimer(menu)) return [patch('windows', menu.window.id, { curtains: menu.ways[way]! })];
  const { spans, level, raiseM } = menu.ways[way]!;
  const { circuit } = menu;
  const programme = [{ months: ALL_MONTHS, spans, level }];
  return [patch('circuits', circuit.id, { programme }), ...hangingChanges(facts, circuit, raiseM)];
}

/** What sets a menu to a year of it, heights of lamps aside; nothing where that is how it is now. */
export function changesOfYear(menu: Menu, year: TimerYear): Change[] {
  if (isTimer(menu))
    return burnsAsNow(menu, year) ? [] : [patch('circuits', menu.circuit.id, { programme: programmeOf(menu, year) })];
  return `${year}` === `${menu.years[0]!}`
    ? []
    : [patch('windows', menu.window.id, { curtains: curtainsOf(menu, year) })];
}
