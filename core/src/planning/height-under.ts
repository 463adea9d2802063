/** How much height lamps leave that hang lower. */
import { applied, type HomeFacts } from '../facts';
import { heightFree } from '../match';
import { hangingChanges } from './hanging';
import { isTimer, type Menu } from './menu';

/** Height that is free over each spot, m, by menu and how much its lamps are raised. */
export class HeightUnder {
  private readonly known = new Map<string, readonly number[]>();

  constructor(
    private readonly facts: HomeFacts,
    private readonly spotIds: readonly string[],
    private readonly menus: readonly Menu[],
  ) {}

  /** @param spot an index of the spots that were given; @param raiseM of the lamps of that menu alone */
  over(spot: number, menu: number, raiseM: number): number {
    const lit = this.menus[menu]!;
    if (raiseM >= 0 || !isTimer(lit)) return Infinity;
    const key = `${menu} ${raiseM}`;
    let heights = this.known.get(key);
    if (!heights) {
      const home = applied(this.facts, hangingChanges(this.facts, lit.circuit, raiseM))!;
      const spotOf = new Map(home.spots.map((one) => [one.id, one]));
      heights = this.spotIds.map((id) => heightFree(home, spotOf.get(id)!));
      this.known.set(key, heights);
    }
    return heights[spot]!;
  }
}
