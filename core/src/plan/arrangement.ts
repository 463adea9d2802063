/**
 * A plan that is being changed: what each change brings is known at once, a broken rule is seen at once, and changes
 * made together are taken back together. Whole years of plans are tried on it by `search`.
 */
import { groupsOf, lightStates, stateUnder, widthOn, type Plan, type PlanProblem } from './problem';
import { valueOfPlan } from './value';

const NOWHERE = -1;

/** In the order in which they were made. */
interface Changes {
  /** Season, plant, the spot it had. */
  readonly placed: number[];
  /** Season, circuit, the setting it had. */
  readonly turned: number[];
}

export class Arrangement {
  readonly seasons: number;
  /** By season and plant: its spot. By season and circuit: its setting. */
  readonly at: Int32Array;
  readonly set: Int32Array;
  objective = 0;
  private readonly plants: number;
  private readonly spots: number;
  private readonly stands: number;
  private readonly states: number;
  private readonly firstState: Int32Array;
  private readonly stateAt: Int32Array;
  /** By season and plant: what it is worth where it stands. */
  private readonly has: Float64Array;
  private readonly standOf: Int32Array;
  /** Room left, by season and spot, and bearing left by season and spot and by season and stand. */
  private readonly widthLeft: Int32Array;
  private readonly loadLeft: Int32Array;
  private readonly standLeft: Int32Array;
  private readonly standCount: Int32Array;
  private readonly here: number[][];
  /** By circuit: the spots it lights, and by how many their state goes on when it goes on by a setting. */
  private readonly litBy: readonly { readonly spots: readonly number[]; readonly strides: readonly number[] }[];
  /** Places that hold more than they may. */
  private over = 0;
  /** Changes since the last end, to take them back. */
  readonly placed: number[] = [];
  readonly turned: number[] = [];
  private attempted: (Changes & { readonly objective: number }) | null = null;
  private gain = 0;
  private mayBreakWish = false;
  private readonly groups: readonly (readonly number[])[];
  private readonly isGrouped: Uint8Array;
  private readonly quarantined: readonly number[];

  constructor(
    private readonly problem: PlanProblem,
    start: Plan,
  ) {
    const { seasons, plants, spots, stands, circuits, wishes } = problem;
    const states = lightStates(problem);
    [this.seasons, this.plants, this.spots, this.stands] = [seasons.length, plants.length, spots.length, stands.length];
    this.states = states.all;
    this.firstState = Int32Array.from(states.first);
    this.standOf = Int32Array.from(spots, ({ stand }) => stand);
    this.at = new Int32Array(this.seasons * this.plants).fill(NOWHERE);
    this.has = new Float64Array(this.at.length);
    this.set = Int32Array.from(start.settings.flat());
    this.stateAt = Int32Array.from(
      start.settings.flatMap((set) => spots.map((spot) => stateUnder(circuits, spot.circuits, set))),
    );
    const bySeason = (of: readonly number[]) => Int32Array.from(seasons.flatMap(() => of));
    this.widthLeft = bySeason(spots.map(({ widthCm }) => widthCm));
    this.loadLeft = bySeason(spots.map(({ loadG }) => loadG));
    this.standLeft = bySeason(stands.map(({ loadG }) => loadG));
    this.standCount = new Int32Array(this.seasons * this.stands);
    this.here = Array.from({ length: this.seasons * this.spots }, () => []);
    this.litBy = circuits.map((_, c) => {
      const lit = spots.flatMap((spot, s) => (spot.circuits.includes(c) ? [s] : []));
      const after = (s: number) => spots[s]!.circuits.slice(spots[s]!.circuits.indexOf(c) + 1);
      return { spots: lit, strides: lit.map((s) => after(s).reduce((n, one) => n * circuits[one]!.costs.length, 1)) };
    });
    this.groups = groupsOf(problem);
    this.isGrouped = Uint8Array.from(plants, (_, plant) => Number(this.groups.some((group) => group.includes(plant))));
    this.quarantined = wishes.flatMap((wish) => (wish.kind === 'quarantine' ? [wish.plant] : []));
    start.spots.forEach((at, season) => at.forEach((spot, plant) => this.fill(season, plant, spot)));
    this.objective = valueOfPlan(problem, start).objective;
  }

  spotOf = (season: number, plant: number): number => this.at[season * this.plants + plant]!;
  settingOf = (season: number, circuit: number): number => this.set[season * this.problem.circuits.length + circuit]!;
  occupants = (season: number, spot: number): readonly number[] => this.here[season * this.spots + spot]!;
  stand = (spot: number): number => this.standOf[spot]!;
  /** Whether a spot, or its stand, holds more than it may. */
  isOver = (season: number, spot: number): boolean =>
    this.widthLeft[season * this.spots + spot]! < 0 ||
    this.loadLeft[season * this.spots + spot]! < 0 ||
    this.standLeft[season * this.stands + this.standOf[spot]!]! < 0;

  /** Room left on a spot, cm, and what it and its stand still bear, g; below 0 where they hold too much. */
  roomLeft = (season: number, spot: number): number => this.widthLeft[season * this.spots + spot]!;
  bearingLeft = (season: number, spot: number): number => this.loadLeft[season * this.spots + spot]!;
  standBearingLeft = (season: number, stand: number): number => this.standLeft[season * this.stands + stand]!;

  /** Whether a plant more is too wide for a spot. */
  isTooNarrow = (season: number, spot: number, plant: number): boolean =>
    this.widthLeft[season * this.spots + spot]! < widthOn(this.problem.plants[plant]!, this.problem.spots[spot]!);

  /** What moves are saved if a plant stands on a spot from one season to another. */
  movesSaved(plant: number, spot: number, from: number, to: number): number {
    const { moveCost, now } = this.problem.plants[plant]!;
    let saved = 0;
    for (let season = from; season <= to + 1 && season < this.seasons; season++) {
      const before = season === 0 ? (now ?? NOWHERE) : this.spotOf(season - 1, plant);
      if (before === NOWHERE) continue;
      const here = this.spotOf(season, plant);
      const newBefore = season > from ? spot : before;
      const newHere = season <= to ? spot : here;
      saved += Number(before !== here) - Number(newBefore !== newHere);
    }
    return moveCost * saved;
  }

  /** What a plant is worth on a spot as it is lit now. */
  worth(season: number, plant: number, spot: number): number {
    const state = this.stateAt[season * this.spots + spot]!;
    return this.problem.worth[(season * this.plants + plant) * this.states + this.firstState[spot]! + state]!;
  }

  /** What a plant is worth where it stands. */
  worthNow = (season: number, plant: number): number => this.has[season * this.plants + plant]!;

  /** Puts a plant on a spot; the rules are looked at when the change is ended. */
  place(season: number, plant: number, spot: number): void {
    const before = this.spotOf(season, plant);
    if (before === spot) return;
    this.placed.push(season, plant, before);
    this.gain += this.moveGain(season, plant, spot);
    this.gain -= this.worthNow(season, plant);
    this.leave(season, plant, before);
    this.fill(season, plant, spot);
    this.gain += this.worthNow(season, plant);
    if (this.quarantined.length > 0 || (this.isGrouped[plant] && this.standOf[before] !== this.standOf[spot]))
      this.mayBreakWish = true;
  }

  /** What turning a circuit brings while every plant stays; nothing is changed. */
  gainOfSetting(season: number, circuit: number, setting: number): number {
    const { costs } = this.problem.circuits[circuit]!;
    const before = this.settingOf(season, circuit);
    const { spots, strides } = this.litBy[circuit]!;
    let gain = this.problem.seasons[season]! * (costs[before]! - costs[setting]!);
    for (let i = 0; i < spots.length; i++) {
      const spot = spots[i]!;
      const there = season * this.spots + spot;
      const state = this.firstState[spot]! + this.stateAt[there]! + strides[i]! * (setting - before);
      for (const plant of this.here[there]!) {
        const at = season * this.plants + plant;
        gain += this.problem.worth[at * this.states + state]! - this.has[at]!;
      }
    }
    return gain;
  }

  /** Gives a circuit a setting. */
  setTo(season: number, circuit: number, setting: number): void {
    const before = this.settingOf(season, circuit);
    if (before === setting) return;
    this.turned.push(season, circuit, before);
    this.gain += this.setGain(season, circuit, setting);
  }

  /** Whether the changes since the last end break no rule and bring at least so much. */
  brings(least: number): boolean {
    return this.gain >= least && this.over === 0 && (!this.mayBreakWish || this.keepsWishes());
  }

  /** From here on what is kept can still be taken back, until it is settled. */
  attempt(): void {
    this.attempted = { objective: this.objective, placed: [], turned: [] };
  }

  /** Ends an attempt: everything that was kept since it began stays, or is taken back. */
  settle(how: 'keep' | 'take-back'): void {
    const attempted = this.attempted;
    this.attempted = null;
    if (!attempted || how === 'keep') return;
    this.takeBack(attempted);
    this.objective = attempted.objective;
  }

  /** Ends the changes since the last end: keeps them, or takes them back. */
  end(how: 'keep' | 'take-back'): void {
    if (how === 'keep') {
      this.objective += this.gain;
      this.attempted?.placed.push(...this.placed);
      this.attempted?.turned.push(...this.turned);
    } else this.takeBack(this);
    if (this.placed.length > 0) this.placed.length = 0;
    if (this.turned.length > 0) this.turned.length = 0;
    this.gain = 0;
    this.mayBreakWish = false;
  }

  plan(): Plan {
    const rows = (values: Int32Array, length: number) =>
      this.problem.seasons.map((_, season) => Array.from(values.subarray(season * length, (season + 1) * length)));
    return { spots: rows(this.at, this.plants), settings: rows(this.set, this.problem.circuits.length) };
  }

  private takeBack({ placed, turned }: Changes): void {
    for (let i = turned.length - 3; i >= 0; i -= 3) this.setGain(turned[i]!, turned[i + 1]!, turned[i + 2]!);
    for (let i = placed.length - 3; i >= 0; i -= 3) {
      const [season, plant] = [placed[i]!, placed[i + 1]!];
      this.leave(season, plant, this.at[season * this.plants + plant]!);
      this.fill(season, plant, placed[i + 2]!);
    }
  }

  private moveGain(season: number, plant: number, to: number): number {
    const { moveCost, now } = this.problem.plants[plant]!;
    const from = this.spotOf(season, plant);
    const before = season === 0 ? (now ?? NOWHERE) : this.spotOf(season - 1, plant);
    const after = season === this.seasons - 1 ? NOWHERE : this.spotOf(season + 1, plant);
    let moves = 0;
    if (before !== NOWHERE) moves += Number(before !== from) - Number(before !== to);
    if (after !== NOWHERE) moves += Number(after !== from) - Number(after !== to);
    return moveCost * moves;
  }

  private setGain(season: number, circuit: number, setting: number): number {
    const gain = this.gainOfSetting(season, circuit, setting);
    const at = season * this.problem.circuits.length + circuit;
    const turn = setting - this.set[at]!;
    this.set[at] = setting;
    const { spots, strides } = this.litBy[circuit]!;
    for (let i = 0; i < spots.length; i++) {
      const there = season * this.spots + spots[i]!;
      this.stateAt[there]! += strides[i]! * turn;
      for (const plant of this.here[there]!)
        this.has[season * this.plants + plant] = this.worth(season, plant, spots[i]!);
    }
    return gain;
  }

  private fill(season: number, plant: number, spot: number): void {
    this.at[season * this.plants + plant] = spot;
    this.has[season * this.plants + plant] = this.worth(season, plant, spot);
    this.here[season * this.spots + spot]!.push(plant);
    this.take(season, plant, spot, 1);
  }

  private leave(season: number, plant: number, spot: number): void {
    const here = this.here[season * this.spots + spot]!;
    here[here.indexOf(plant)] = here[here.length - 1]!;
    here.pop();
    this.take(season, plant, spot, -1);
  }

  private take(season: number, plant: number, spot: number, sign: 1 | -1): void {
    const { loadG } = this.problem.plants[plant]!;
    const width = widthOn(this.problem.plants[plant]!, this.problem.spots[spot]!);
    this.use(this.widthLeft, season * this.spots + spot, sign * width);
    this.use(this.loadLeft, season * this.spots + spot, sign * loadG);
    const stand = season * this.stands + this.standOf[spot]!;
    this.use(this.standLeft, stand, sign * loadG);
    this.standCount[stand]! += sign;
  }

  private use(left: Int32Array, at: number, amount: number): void {
    const before = left[at]!;
    const after = before - amount;
    left[at] = after;
    if (before < 0 !== after < 0) this.over += after < 0 ? 1 : -1;
  }

  private keepsWishes(): boolean {
    const isOn = (season: number, plant: number) => this.standOf[this.spotOf(season, plant)]!;
    for (let season = 0; season < this.seasons; season++) {
      for (const group of this.groups) {
        const stand = isOn(season, group[0]!);
        for (const plant of group) if (isOn(season, plant) !== stand) return false;
      }
      for (const plant of this.quarantined)
        if (this.standCount[season * this.stands + isOn(season, plant)]! > 1) return false;
    }
    return true;
  }
}
