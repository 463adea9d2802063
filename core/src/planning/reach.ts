/** Whether those of a household get at a spot, and what of a plant could hurt them. */
import type { HouseholdMember } from '../facts';
import type { PlacedSpot } from '../room';
import { HARMS, type Eater, type Hazard } from '../taxon';

const EATER_OF: Readonly<Record<HouseholdMember, Eater>> = {
  children: 'people',
  cats: 'cats',
  dogs: 'dogs',
  birds: 'birds',
  'small-mammals': 'smallMammals',
};

/** Boards up to this height are got at, m: judgement; cats and birds get nearly everywhere. */
const REACH_M: Readonly<Record<HouseholdMember, number>> = {
  children: 1.5,
  cats: 2.2,
  dogs: 1,
  birds: Infinity,
  'small-mammals': 0.5,
};

/** What is not known is treated as a hazard. */
const DANGEROUS_FROM = HARMS.indexOf('unknown');

/** Who of a household could be hurt by eating of a plant. */
export const endangered = (household: readonly HouseholdMember[], hazard: Hazard): HouseholdMember[] =>
  household.filter((member) => HARMS.indexOf(hazard[EATER_OF[member]]) >= DANGEROUS_FROM);

/** Whether one of a household gets at a spot; nobody gets into a closed cabinet. */
export const getsAt = (member: HouseholdMember, { tierHeightM, room }: PlacedSpot): boolean =>
  room.insideRoomId === null && tierHeightM < REACH_M[member];
