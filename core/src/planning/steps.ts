/**
 * A plan as work: what to carry first, so that no spot is needed that is still taken (with a table as a stopover where
 * plants change places in a circle), what to set, and the days for it.
 */
import {
  PLAIN_STEP,
  applied,
  drop,
  patch,
  put,
  roomsOfSpots,
  type Change,
  type Circuit,
  type HomeFacts,
  type PlanStep,
  type Plant,
} from '../facts';
import { yearOfTimer } from '../lamp';
import { carried } from '../match';
import { widthOn } from '../plan';
import { DAY_MS } from '../units';
import { potWidthCm, spotWidthCm, spreadCm } from './pot-size';
import { settingId } from './other-settings';
import type { FoundPlan } from './proposal';

/** A step before it is accepted. */
export type PlannedStep = Omit<PlanStep, 'id' | 'planId' | 'doneOn'>;

/** Which parts of a plan are taken. */
export interface Chosen {
  readonly plantIds: ReadonlySet<string>;
  readonly circuitIds: ReadonlySet<string>;
  /** Windows whose curtains, and humidifiers, that are set otherwise. */
  readonly otherIds: ReadonlySet<string>;
}

export interface Work {
  readonly steps: readonly PlannedStep[];
  /** Plants that cannot be carried, since what stands where they should go is not to be carried away. */
  readonly blocked: readonly string[];
}

/** A plant carried from one place to another; null is a table beside. */
interface Carry {
  readonly plant: Plant;
  readonly from: string | null;
  readonly to: string | null;
}

/** @param on YYYY-MM-DD */
const daysAfter = (on: string, days: number): string =>
  new Date(Date.parse(`${on}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);

/** The first of a month on or after a day. */
function firstOf(month: number, on: string): string {
  const [year, nowMonth] = on.split('-').map(Number) as [number, number];
  return `${month > nowMonth ? year : year + 1}-${String(month).padStart(2, '0')}-01`;
}

/** What stands where while plants are carried. */
class Places {
  private readonly at = new Map<string, Plant[]>();

  constructor(
    private readonly facts: HomeFacts,
    where: ReadonlyMap<string, string | null>,
  ) {
    for (const plant of facts.plants) {
      const spotId = where.get(plant.id) ?? null;
      if (spotId !== null) this.at.set(spotId, [...(this.at.get(spotId) ?? []), plant]);
    }
  }

  hasRoom(spotId: string, plant: Plant): boolean {
    const here = this.at.get(spotId) ?? [];
    if (here.length === 0) return true;
    const spot = this.facts.spots.find(({ id }) => id === spotId)!;
    // As wide as the plan took it to be: what stands there in the facts has room there.
    const widthCm = spotWidthCm(
      spot,
      this.facts.plants.filter((one) => one.spotId === spotId),
    );
    const width = (one: Plant) => widthOn({ widthCm: potWidthCm(one), spreadCm: spreadCm(one) }, { widthCm });
    return [...here, plant].reduce((sum, one) => sum + width(one), 0) <= widthCm;
  }

  carry({ plant, from, to }: Carry): void {
    if (from !== null)
      this.at.set(
        from,
        (this.at.get(from) ?? []).filter(({ id }) => id !== plant.id),
      );
    if (to !== null) this.at.set(to, [...(this.at.get(to) ?? []), plant]);
  }

  occupants = (spotId: string): readonly Plant[] => this.at.get(spotId) ?? [];
}

/** Carries in an order that can be walked, and the plants that never find room. */
interface Order {
  readonly walked: readonly Carry[];
  readonly stuck: readonly string[];
}

/**
 * Carries in an order that can be walked. Plants that would never find room stay where they are, and with them those
 * that want their places: nobody is taken up who could not be put down.
 */
function inOrder(facts: HomeFacts, wanted: readonly Carry[], where: ReadonlyMap<string, string | null>): Order {
  const stuck = new Set<string>();
  for (;;) {
    const open = wanted.filter(({ plant }) => !stuck.has(plant.id));
    const { walked, left } = walk(facts, open, new Places(facts, where));
    if (left.length === 0) return { walked, stuck: [...stuck] };
    for (const { plant } of left) stuck.add(plant.id);
  }
}

/** Carries one after another as each finds room; those that never do are left over. */
function walk(facts: HomeFacts, wanted: readonly Carry[], places: Places) {
  const roomOf = roomsOfSpots(facts);
  const open = [...wanted];
  const walked: Carry[] = [];
  let room: string | undefined;
  const take = (carry: Carry) => {
    places.carry(carry);
    walked.push(carry);
    room = roomOf.get(carry.to ?? carry.from ?? '') ?? room;
  };
  for (;;) {
    const possible = open.filter(({ plant, to }) => to === null || places.hasRoom(to, plant));
    const next = possible.find(({ from }) => from !== null && roomOf.get(from) === room) ?? possible[0];
    if (next) {
      open.splice(open.indexOf(next), 1);
      take(next);
      continue;
    }
    // Who is in another's way and is to be carried itself waits on a table.
    const inTheWay = open.find(
      ({ plant, from }) =>
        from !== null && open.some((other) => other.to === from && places.occupants(from).includes(plant)),
    );
    if (!inTheWay) break;
    open.splice(open.indexOf(inTheWay), 1, { ...inTheWay, from: null });
    take({ ...inTheWay, to: null });
  }
  return { walked, left: open };
}

/** Whether a timer is to burn otherwise than it does; its lamps may hang otherwise all the same. */
function burnsOtherwise({ circuits }: HomeFacts, circuitId: string, programme: Circuit['programme']): boolean {
  const now = circuits.find(({ id }) => id === circuitId)!;
  return JSON.stringify(yearOfTimer(now)) !== JSON.stringify(yearOfTimer({ ...now, programme }));
}

/** The work of a plan. @param on the day it begins, YYYY-MM-DD */
export function workOf(facts: HomeFacts, plan: FoundPlan, chosen: Chosen, on: string): Work {
  const steps: PlannedStep[] = [];
  const blocked = new Set<string>();
  const add = (step: Omit<PlannedStep, 'order'>) => steps.push({ ...step, order: steps.length });
  const plantOf = new Map(facts.plants.map((plant) => [plant.id, plant]));
  const where = new Map<string, string | null>(facts.plants.map(({ id, spotId }) => [id, spotId]));
  const proposals = plan.plants.filter(({ plantId }) => chosen.plantIds.has(plantId));
  plan.seasons.forEach((months, season) => {
    const day = season === 0 ? on : firstOf(months[0]!, on);
    const wanted = proposals.flatMap(({ plantId, spotIds }): Carry[] => {
      const from = where.get(plantId) ?? null;
      const to = spotIds[season]!;
      return from === to || blocked.has(plantId) ? [] : [{ plant: plantOf.get(plantId)!, from, to }];
    });
    const { walked, stuck } = inOrder(facts, wanted, where);
    for (const { plant, from, to } of walked) {
      add({ ...PLAIN_STEP, on: day, kind: 'carry', plantId: plant.id, fromSpotId: from, spotId: to });
      where.set(plant.id, to);
    }
    for (const id of stuck) blocked.add(id);
  });
  for (const { circuitId, programme, isChanged, hung } of plan.timers) {
    if (!isChanged || !chosen.circuitIds.has(circuitId)) continue;
    if (burnsOtherwise(facts, circuitId, programme)) add({ ...PLAIN_STEP, on, kind: 'timer', circuitId, programme });
    plan.seasons.forEach((months, season) => {
      const day = season === 0 ? on : firstOf(months[0]!, on);
      for (const lamp of hung[season]!) add({ ...PLAIN_STEP, on: day, kind: 'hang', circuitId, ...lamp });
    });
  }
  for (const { setting } of plan.others) {
    if (!chosen.otherIds.has(settingId(setting))) continue;
    const { kind, ...what } = setting;
    add({ ...PLAIN_STEP, on, kind, ...what });
  }
  for (const { plantId, settling } of proposals) {
    if (!settling || blocked.has(plantId)) continue;
    add({ ...PLAIN_STEP, on, kind: 'shade', plantId });
    add({ ...PLAIN_STEP, on: daysAfter(on, 7 * settling.weeks), kind: 'unshade', plantId });
  }
  return { steps, blocked: [...blocked] };
}

/** All of a plan but some of its plants, timers, curtains and humidifiers, which never share a key. */
export function partsOf({ plants, timers, others }: FoundPlan, but: ReadonlySet<string> = new Set()): Chosen {
  const keep = (ids: readonly string[]) => new Set(ids.filter((id) => !but.has(id)));
  return {
    plantIds: keep(plants.map(({ plantId }) => plantId)),
    circuitIds: keep(timers.map(({ circuitId }) => circuitId)),
    otherIds: keep(others.map(({ setting }) => settingId(setting))),
  };
}

/** What is accepted of a plan, and when. */
export interface Accepted {
  readonly chosen: Chosen;
  readonly work: Work;
  /** YYYY-MM-DD. */
  readonly on: string;
  readonly newId: () => string;
}

/**
 * What accepting a plan writes: the plan with its promises, and its steps; open steps of earlier plans go. Of what was
 * left out nothing is promised.
 */
export function acceptChanges(facts: HomeFacts, plan: FoundPlan, accepted: Accepted): Change[] {
  const { chosen, work, on, newId } = accepted;
  const planId = newId();
  const isPromised = (plantId: string) => chosen.plantIds.has(plantId) && !work.blocked.includes(plantId);
  const saved = plan.timers
    .filter(({ circuitId }) => chosen.circuitIds.has(circuitId))
    .reduce((sum, { kWhBefore, kWhAfter }) => sum + kWhAfter - kWhBefore, 0);
  return [
    ...facts.planSteps.filter(({ doneOn }) => doneOn === null).map(({ id }) => drop('planSteps', id)),
    put('plans', {
      id: planId,
      homeId: facts.home.id,
      acceptedOn: on,
      promised: plan.plants
        .filter(({ plantId }) => isPromised(plantId))
        .map(({ plantId, before, after }) => ({ plantId, before, after })),
      kWhBefore: plan.energyBefore.year.kWh,
      kWhAfter: plan.energyBefore.year.kWh + saved,
    }),
    ...work.steps.map((step) => put('planSteps', { ...step, id: newId(), planId, doneOn: null })),
  ];
}

/** What doing a step changes, the step itself marked with it. @param on YYYY-MM-DD */
export function stepChanges(facts: HomeFacts, step: PlanStep, on: string): Change[] {
  const done = patch('planSteps', step.id, { doneOn: on });
  const plant = facts.plants.find(({ id }) => id === step.plantId);
  if (step.kind === 'carry' && plant) {
    // Where it came from is where it last stood, not the table that it waited on.
    const from = plant.spotId ?? plant.cameFromSpotId;
    return [carried({ id: plant.id, spotId: from }, step.spotId, on), done];
  }
  if (step.kind === 'timer' && step.circuitId !== null)
    return [patch('circuits', step.circuitId, { programme: step.programme }), done];
  if (step.kind === 'hang' && step.lampId !== null && step.aboveM !== null) {
    const fromAboveM = facts.lamps.find(({ id }) => id === step.lampId)?.aboveM ?? null;
    const hung = patch('planSteps', step.id, { doneOn: on, fromAboveM });
    return [patch('lamps', step.lampId, { aboveM: step.aboveM }), hung];
  }
  if (step.kind === 'curtain' && step.windowId !== null) {
    const fromCurtains = facts.windows.find(({ id }) => id === step.windowId)?.curtains ?? null;
    const drawn = patch('planSteps', step.id, { doneOn: on, fromCurtains });
    return [patch('windows', step.windowId, { curtains: step.curtains }), drawn];
  }
  if (step.kind === 'humidifier' && step.airThingId !== null && step.setRh !== null)
    return [patch('airThings', step.airThingId, { setRh: step.setRh }), done];
  return [done];
}

/**
 * Whether a plant gets used to its new light behind paper, as its plan said, or has done so: its leaves do not burn as
 * those of one do that was only moved.
 */
export const isHardened = (
  { planSteps }: Pick<HomeFacts, 'planSteps'>,
  { id, movedOn }: Pick<Plant, 'id' | 'movedOn'>,
): boolean =>
  movedOn !== null &&
  planSteps.some(
    ({ kind, plantId, doneOn }) => kind === 'shade' && plantId === id && doneOn !== null && doneOn >= movedOn,
  );

/** Steps that are open, in the order of work. */
export const openSteps = ({ planSteps }: Pick<HomeFacts, 'planSteps'>): PlanStep[] =>
  planSteps
    .filter(({ doneOn }) => doneOn === null)
    .sort((p, q) => (p.on < q.on ? -1 : p.on > q.on ? 1 : p.order - q.order));

/** The home once every open step is done. @param on YYYY-MM-DD */
export const homeAfter = (facts: HomeFacts, on: string): HomeFacts =>
  openSteps(facts).reduce((home, step) => applied(home, stepChanges(home, step, on)) ?? home, facts);
