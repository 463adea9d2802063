/**
 * A plan as work: what to carry first, so that no spot is needed that is still taken (with a table as a stopover where
 * plants change places in a circle), what to set, and the days for it.
 */
import { drop, patch, put, type Change, type HomeFacts, type PlanStep, type Plant } from '../facts';
import { carried } from '../match';
import { potWidthCm, spreadCm } from './pot-size';
import type { FoundPlan } from './proposal';

/** A step before it is accepted. */
export type PlannedStep = Omit<PlanStep, 'id' | 'planId' | 'doneOn'>;

/** Which parts of a plan are taken. */
export interface Chosen {
  readonly plantIds: ReadonlySet<string>;
  readonly circuitIds: ReadonlySet<string>;
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

const DAY_MS = 86_400_000;

/** @param on YYYY-MM-DD */
function daysAfter(on: string, days: number): string {
  return new Date(Date.parse(`${on}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
}

/** The first of a month on or after a day. */
function firstOf(month: number, on: string): string {
  const [year, nowMonth] = on.split('-').map(Number) as [number, number];
  return `${month > nowMonth ? year : year + 1}-${String(month).padStart(2, '0')}-01`;
}

/** Rooms of spots, so that one room after the other is walked. */
function roomOfSpot({ spots, tiers, stands }: HomeFacts): ReadonlyMap<string, string> {
  const standOf = new Map(tiers.map(({ id, standId }) => [id, standId]));
  const roomOf = new Map(stands.map(({ id, roomId }) => [id, roomId]));
  return new Map(spots.map(({ id, tierId }) => [id, roomOf.get(standOf.get(tierId) ?? '') ?? '']));
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
    const sizeCm = Math.floor(this.facts.spots.find(({ id }) => id === spotId)!.sizeM * 100);
    const width = (one: Plant) => Math.max(potWidthCm(one), Math.min(sizeCm, spreadCm(one)));
    return [...here, plant].reduce((sum, one) => sum + width(one), 0) <= sizeCm;
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

/** Carries in an order that can be walked; those that never find room are left over. */
function inOrder(facts: HomeFacts, wanted: readonly Carry[], places: Places) {
  const roomOf = roomOfSpot(facts);
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
    const { walked, left } = inOrder(facts, wanted, new Places(facts, where));
    for (const { plant, from, to } of walked) {
      add({ ...NOTHING, on: day, kind: 'carry', plantId: plant.id, fromSpotId: from, spotId: to });
      where.set(plant.id, to);
    }
    // One that waits on a table for a spot that never comes free goes back.
    for (const { plant } of left) {
      blocked.add(plant.id);
      if (where.get(plant.id) === null && plant.spotId !== null)
        add({ ...NOTHING, on: day, kind: 'carry', plantId: plant.id, fromSpotId: null, spotId: plant.spotId });
    }
  });
  for (const { circuitId, programme, isChanged } of plan.timers)
    if (isChanged && chosen.circuitIds.has(circuitId)) add({ ...NOTHING, on, kind: 'timer', circuitId, programme });
  for (const { plantId, settling } of proposals) {
    if (!settling || blocked.has(plantId)) continue;
    add({ ...NOTHING, on, kind: 'shade', plantId });
    add({ ...NOTHING, on: daysAfter(on, 7 * settling.weeks), kind: 'unshade', plantId });
  }
  return { steps, blocked: [...blocked] };
}

const NOTHING = { plantId: null, fromSpotId: null, spotId: null, circuitId: null, programme: [] } as const;

/** What accepting a plan writes: the plan with its promises, and its steps; open steps of earlier plans go. */
export function acceptChanges(
  facts: HomeFacts,
  plan: FoundPlan,
  { steps }: Work,
  { on, newId }: { readonly on: string; readonly newId: () => string },
): Change[] {
  const planId = newId();
  return [
    ...facts.planSteps.filter(({ doneOn }) => doneOn === null).map(({ id }) => drop('planSteps', id)),
    put('plans', {
      id: planId,
      homeId: facts.home.id,
      acceptedOn: on,
      promised: plan.plants.map(({ plantId, before, after }) => ({ plantId, before, after })),
      kWhBefore: plan.energyBefore.year.kWh,
      kWhAfter: plan.energyAfter.year.kWh,
    }),
    ...steps.map((step) => put('planSteps', { ...step, id: newId(), planId, doneOn: null })),
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
  return [done];
}

/** Steps that are open, in the order of work. */
export const openSteps = ({ planSteps }: Pick<HomeFacts, 'planSteps'>): PlanStep[] =>
  planSteps
    .filter(({ doneOn }) => doneOn === null)
    .sort((p, q) => (p.on < q.on ? -1 : p.on > q.on ? 1 : p.order - q.order));
