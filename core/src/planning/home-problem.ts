/** A home as a joint plan's problem: its plants, spots, timers and wishes, and what each plant is worth where. */
import type { HomeFacts, Plant, PlanSettings, TariffBand } from '../facts';
import type { HomeEngine } from '../home';
import { energyOfWay, faded, homeEnergy, wattsByCircuit, yearEnergy } from '../lamp';
import { lightStates, worthAt, type PlanProblem, type PlanWish } from '../plan';
import type { PlacedSpot } from '../room';
import { ALL_MONTHS } from '../units';
import { HeightUnder } from './height-under';
import { combinations, type SpotLight } from './light-under';
import { potWeightG, potWidthCm, spotWidthCm, spreadCm } from './pot-size';
import { refusalTable, type RefusalTable } from './refusals';
import { isTimer, raiseOf, type Menu } from './menu';
import { CARE_WEIGHTS, MOVE_COSTS, WORTH_OF_KWH, worthUnder, type Wanting, type WorthAsked } from './worth';

/** A home laid out for planning: its plants that are known and its spots, in the order of the problem's indices. */
export interface Layout {
  readonly facts: HomeFacts;
  readonly settings: PlanSettings;
  readonly plants: readonly Plant[];
  readonly spots: readonly PlacedSpot[];
  readonly menus: readonly Menu[];
  /** Months (1..12) of each season. */
  readonly seasons: readonly (readonly number[])[];
  readonly refusals: RefusalTable;
}

/** Heights are ruled out plant by plant: one that stands somewhere already fits there. */
const ANY_HEIGHT_CM = 100_000;
/** A plant of this height is not carried lightly, cm, and costs so many times the effort. */
const HEAVY_CM = 100;
const HEAVY_FACTOR = 1.5;

/** Quarters of the year from December on, and halves from October on. */
const SEASONS: Readonly<Record<PlanSettings['arrangements'], readonly (readonly number[])[]>> = {
  1: [ALL_MONTHS],
  2: [
    [10, 11, 12, 1, 2, 3],
    [4, 5, 6, 7, 8, 9],
  ],
  4: [
    [12, 1, 2],
    [3, 4, 5],
    [6, 7, 8],
    [9, 10, 11],
  ],
};

/** Seasons in the order in which they come, that of the month that is on first. */
export function seasonsFrom(arrangements: PlanSettings['arrangements'], month: number): readonly (readonly number[])[] {
  const seasons = SEASONS[arrangements];
  const first = seasons.findIndex((months) => months.includes(month));
  return seasons.map((_, i) => seasons[(first + i) % seasons.length]!);
}

export function layoutOf(
  engine: HomeEngine,
  facts: HomeFacts,
  given: Pick<Layout, 'settings' | 'plants' | 'spots' | 'menus'> & { readonly month: number },
): Layout {
  const { settings, plants, spots, menus, month } = given;
  const seasons = seasonsFrom(settings.arrangements, month);
  const refusals = refusalTable({ ...facts, plants }, spots, settings, engine.sources);
  return { facts, settings, plants, spots, menus, seasons, refusals };
}

/** The wish that carries a grower's words, as the problem knows it. */
function wishesOf({ facts, plants, spots }: Layout): PlanWish[] {
  const plantAt = new Map(plants.map(({ id }, i) => [id, i]));
  const spotAt = new Map(spots.map(({ spot }, i) => [spot.id, i]));
  const groups = new Map<string, { readonly id: string; readonly plants: number[] }>();
  const own = facts.wishes.flatMap((wish): PlanWish[] => {
    const plant = plantAt.get(wish.plantId ?? '');
    if (plant === undefined) return [];
    const spot = spotAt.get(wish.spotId ?? '');
    if (wish.kind === 'stays' && spot !== undefined) return [{ id: wish.id, kind: 'fix', plant, spot }];
    if (wish.kind === 'apart') return [{ id: wish.id, kind: 'quarantine', plant }];
    if (wish.kind === 'together') {
      const group = groups.get(wish.group) ?? { id: wish.id, plants: [] };
      group.plants.push(plant);
      groups.set(wish.group, group);
    }
    return [];
  });
  const together = [...groups.values()].flatMap(({ id, plants: members }): PlanWish[] =>
    members.length > 1 ? [{ id, kind: 'group', plants: members }] : [],
  );
  return [...own, ...together];
}

const carePerPlant = ({ wishes }: HomeFacts): ReadonlyMap<string | null, number> =>
  new Map(
    wishes.flatMap((wish) => (wish.kind === 'matters' ? [[wish.plantId, CARE_WEIGHTS[wish.care]] as const] : [])),
  );

/** What each plant wants, by the order of the layout. */
export function wantingOf(
  { facts, plants }: Layout,
  standing: ReadonlyMap<string, Pick<Wanting, 'targets' | 'reserveLeft'>>,
): Wanting[] {
  const care = carePerPlant(facts);
  return plants.map((plant) => ({
    ...standing.get(plant.id)!,
    goal: plant.goal,
    weight: care.get(plant.id) ?? CARE_WEIGHTS.usual,
  }));
}

/** What a kWh of a month costs beside the usual price: 1 where no price is said. */
function kWhWeight(cost: number | null, kWh: number, usual: number | null): number {
  return cost === null || usual === null || usual === 0 || kWh === 0 ? 1 : cost / kWh / usual;
}

/** What the electricity of a menu costs each way in each month (0..11), in the unit of worth. */
export function costsByWay(menu: Menu, facts: HomeFacts): number[][] {
  if (!isTimer(menu)) return menu.ways.map(() => ALL_MONTHS.map(() => 0));
  const { circuit, ways } = menu;
  const watts = wattsByCircuit(facts).get(circuit.id) ?? 0;
  const lamps = facts.lamps.filter(({ circuitId }) => circuitId === circuit.id).length;
  const usual = usualPrice(facts.tariffs);
  return ways.map((way) =>
    ALL_MONTHS.map((month) => {
      const burning = { ...way, spans: faded(way.spans, circuit.fadeMinutes) };
      const { kWh, cost } = energyOfWay(burning, { watts, lamps, month, tariff: facts.tariffs });
      return WORTH_OF_KWH * kWh * kWhWeight(cost, kWh, usual);
    }),
  );
}

/** Someone must draw a curtain otherwise, in verdicts. Judgement. */
const DRAWING_COST = 0.02;

/** What each setting of a menu costs in a whole year, in the unit of worth. */
function settingCosts(menu: Menu, facts: HomeFacts): number[] {
  if (!isTimer(menu)) return menu.years.map((_, i) => (i === 0 ? 0 : DRAWING_COST));
  const byWay = costsByWay(menu, facts);
  return menu.years.map((year) => year.reduce((sum, way, month0) => sum + byWay[way]![month0]!, 0));
}

/** What a year's electricity of a home's lamps costs, in the unit of worth. */
export function energyWorth(facts: HomeFacts): number {
  const { kWh, cost } = yearEnergy(homeEnergy(facts));
  return WORTH_OF_KWH * kWh * kWhWeight(cost, kWh, usualPrice(facts.tariffs));
}

function usualPrice(tariff: readonly TariffBand[]): number | null {
  if (tariff.length === 0) return null;
  const hours = (band: TariffBand) => ((band.toMinute - band.fromMinute) / 60) * band.weekdays.length;
  const all = tariff.reduce((sum, band) => sum + hours(band), 0);
  return tariff.reduce((sum, band) => sum + band.pricePerKwh * hours(band), 0) / all;
}

/** Room and bearing of spots: at least what stands there now. */
function problemSpots({ plants, spots }: Layout, lights: readonly SpotLight[]): PlanProblem['spots'] {
  const standIds = [...new Set(spots.map(({ standId }) => standId))];
  return spots.map(({ spot, standId }, s) => {
    const here = plants.filter(({ spotId }) => spotId === spot.id);
    const weightG = here.reduce((sum, plant) => sum + potWeightG(plant), 0);
    return {
      stand: standIds.indexOf(standId),
      widthCm: spotWidthCm(spot, here),
      heightCm: ANY_HEIGHT_CM,
      loadG: Math.max(Math.round(spot.loadKg * 1000), weightG),
      circuits: lights[s]!.timers,
    };
  });
}

/** The light by plant and spot: the spot's own, or that of the plant standing there where it has been worked out. */
export type LightOf = (plant: number, spot: number) => SpotLight;

/** The worth of each plant on each spot, remembered for plants of the same needs under the same light. */
export class WorthTable {
  private readonly known = new WeakMap<SpotLight, Map<string, Float64Array>>();

  constructor(private readonly asked: WorthAsked) {}

  /** By season and light state of the spot. */
  of(wanting: Wanting, light: SpotLight): Float64Array {
    const { goal, weight, reserveLeft, targets } = wanting;
    const key = `${numberOf(targets)}|${goal}|${weight}|${reserveLeft}`;
    let ofLight = this.known.get(light);
    if (!ofLight) this.known.set(light, (ofLight = new Map()));
    let worth = ofLight.get(key);
    if (!worth) ofLight.set(key, (worth = worthUnder(wanting, light, this.asked)));
    return worth;
  }
}

const numbers = new WeakMap<Wanting['targets'], number>();
let numbered = 0;

function numberOf(targets: Wanting['targets']): number {
  let number = numbers.get(targets);
  if (number === undefined) numbers.set(targets, (number = numbered += 1));
  return number;
}

/** A plant that would stand into a lamp hung lower is worth so little that no plan has it there. */
const IN_THE_LAMP = -2;

/** The light states of a spot under which lamps hang too low for a plant, also for one that stands there already. */
function tooTallUnder({ facts, menus, plants, spots }: Layout, lights: readonly SpotLight[]) {
  const under = new HeightUnder(
    facts,
    spots.map(({ spot }) => spot.id),
    menus,
  );
  return (plant: number, spot: number): number[] => {
    const tallM = (plants[plant]!.heightCm ?? 0) / 100;
    const { timers } = lights[spot]!;
    if (timers.every((menu) => menus[menu]!.ways.every((_, way) => raiseOf(menus[menu]!, way) >= 0))) return [];
    const settings = combinations(timers.map((menu) => menus[menu]!.years.length));
    return settings.flatMap((chosen, state) => {
      const free = timers.map((menu, i) => {
        const own = menus[menu]!;
        return under.over(spot, menu, raiseOf(own, own.years[chosen[i]!]![0]!));
      });
      return tallM > Math.min(...free) ? [state] : [];
    });
  };
}

/** The problem that a plan solves. */
export function problemOfHome(
  layout: Layout,
  wanting: readonly Wanting[],
  lights: readonly SpotLight[],
  lightOf: LightOf,
  table: WorthTable,
): PlanProblem {
  const { facts, plants, spots, menus, seasons, settings, refusals } = layout;
  const circuits = menus.map((menu) => ({ costs: settingCosts(menu, facts) }));
  const problemSpotsList = problemSpots(layout, lights);
  const spotAt = new Map(spots.map(({ spot }, i) => [spot.id, i]));
  const problemPlants = plants.map((plant, p) => ({
    widthCm: potWidthCm(plant),
    spreadCm: spreadCm(plant),
    heightCm: 0,
    loadG: potWeightG(plant),
    moveCost: MOVE_COSTS[settings.moves] * ((plant.heightCm ?? 0) >= HEAVY_CM ? HEAVY_FACTOR : 1),
    now: spotAt.get(plant.spotId ?? '') ?? null,
    cannot: spots.flatMap((_, s) => (refusals.why[p * spots.length + s]! >= 0 ? [s] : [])),
  }));
  const states = lightStates({ spots: problemSpotsList, circuits });
  const worth = new Float64Array(seasons.length * plants.length * states.all);
  const tooTall = tooTallUnder(layout, lights);
  plants.forEach((_, plant) =>
    spots.forEach((_spot, spot) => {
      if (refusals.why[plant * spots.length + spot]! >= 0) return;
      const own = table.of(wanting[plant]!, lightOf(plant, spot));
      const count = states.count[spot]!;
      const lowered = tooTall(plant, spot);
      seasons.forEach((_months, season) => {
        const at = worthAt({ plants: problemPlants }, states, { season, plant, spot });
        worth.set(own.subarray(season * count, (season + 1) * count), at);
        for (const state of lowered) worth[at + state] = IN_THE_LAMP;
      });
    }),
  );
  return {
    seasons: seasons.map((months) => months.length / 12),
    plants: problemPlants,
    spots: problemSpotsList,
    stands: [...new Set(spots.map(({ standId }) => standId))].map((standId) => ({
      loadG: spots.reduce((sum, one, s) => sum + (one.standId === standId ? problemSpotsList[s]!.loadG : 0), 0),
    })),
    circuits,
    wishes: wishesOf(layout),
    worth,
  };
}
