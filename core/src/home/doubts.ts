/** What may be true of a home but is most often a slip of the finger: told beside the field, never refused. */
import type { ChangeList, EntryOf, HomeFacts, Lamp, Plant, Problem, Spot, Stand } from '../facts';
import { lampsTouched } from './lamp-clearance';

/** More photons for each joule than the best lamps give, with a margin; and fewer than a filament gives. */
const MOST_UMOL_PER_JOULE = 4.5;
const LEAST_UMOL_PER_JOULE = 0.1;
/** The same two bounds in lumens for each watt. */
const MOST_LUMENS_PER_WATT = 260;
const LEAST_LUMENS_PER_WATT = 5;
/** Two spots whose middles are nearer than this are one place, metres. */
const SAME_PLACE_M = 0.02;
/** Two stands that share so much of the smaller one's ground stand in one place. */
const SAME_GROUND = 0.9;

/**
 * What is doubtful about one entry as it would be kept, with the field it stands beside.
 * @param facts the other facts of the home
 */
export function doubtsOf<L extends ChangeList>(facts: HomeFacts, list: L, entry: EntryOf<L>): Problem[] {
  const told = (field: string, message: string): Problem[] => [{ list, id: entry.id, field, message }];
  if (list === 'lamps') {
    const lamp = entry as unknown as Lamp;
    return [...lampDoubts(lamp, told), ...touchDoubts({ ...facts, lamps: [lamp] }, 'aboveM', told)];
  }
  if (list === 'plants') return touchDoubts({ ...facts, plants: [entry as unknown as Plant] }, 'heightCm', told);
  if (list === 'stands') return standDoubts(facts, entry as unknown as Stand, told);
  if (list === 'spots') return spotDoubts(facts, entry as unknown as Spot, told);
  return [];
}

/** A plant that reaches a lamp: told beside the height of whichever is being changed. */
function touchDoubts(facts: HomeFacts, field: 'aboveM' | 'heightCm', told: Told): Problem[] {
  const [touched] = lampsTouched(facts);
  if (!touched) return [];
  const { plant, lamp } = touched;
  const whose = plant.name.trim() === '' ? 'A plant' : `“${plant.name}”`;
  return told(
    field,
    field === 'aboveM'
      ? `${whose} of ${plant.heightCm} cm stands under it and would reach into it.`
      : `It would reach into the lamp “${lamp.name}” over it.`,
  );
}

type Told = (field: string, message: string) => Problem[];

function lampDoubts({ ratedBy, ppf, lumens, powerW }: Lamp, told: Told): Problem[] {
  if (ratedBy === 'watts' || powerW <= 0) return [];
  const [field, given, most, least] =
    ratedBy === 'ppf'
      ? (['ppf', ppf, MOST_UMOL_PER_JOULE, LEAST_UMOL_PER_JOULE] as const)
      : (['lumens', lumens ?? 0, MOST_LUMENS_PER_WATT, LEAST_LUMENS_PER_WATT] as const);
  const perWatt = given / powerW;
  if (perWatt > most) return told(field, `No lamp gives so much light from ${powerW} W. Look at both figures again.`);
  if (perWatt < least) return told(field, `That is very little light from ${powerW} W. Look at both figures again.`);
  return [];
}

function standDoubts(facts: HomeFacts, stand: Stand, told: Told): Problem[] {
  const area = ({ widthM, depthM }: Stand) => widthM * depthM;
  const shared = (other: Stand) =>
    overlap(stand.xM, stand.widthM, other.xM, other.widthM) * overlap(stand.yM, stand.depthM, other.yM, other.depthM);
  const same = facts.stands.find(
    (other) =>
      other.id !== stand.id &&
      other.roomId === stand.roomId &&
      other.kind === stand.kind &&
      shared(other) > SAME_GROUND * Math.min(area(stand), area(other)),
  );
  return same ? told('xM', `“${same.name}” stands in this place already.`) : [];
}

const overlap = (from: number, size: number, otherFrom: number, otherSize: number) =>
  Math.max(0, Math.min(from + size, otherFrom + otherSize) - Math.max(from, otherFrom));

function spotDoubts(facts: HomeFacts, spot: Spot, told: Told): Problem[] {
  const same = facts.spots.find(
    (other) =>
      other.id !== spot.id &&
      other.tierId === spot.tierId &&
      Math.hypot(other.alongM - spot.alongM, other.acrossM - spot.acrossM) < SAME_PLACE_M,
  );
  return same ? told('alongM', `“${same.name}” is in this place already.`) : [];
}
