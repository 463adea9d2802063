/** Contradictions among the facts of a home's air, each with the field to mend and the range allowed. */
import type { AirThing, Doorway, HomeFacts, Problem, RoomClimate } from '../facts';

type Facts = Pick<HomeFacts, 'rooms' | 'climates' | 'airThings'>;

const metres = (value: number) => `${Number(value.toFixed(2))} m`;

export function climateProblems(climate: RoomClimate, { climates }: Facts): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'climates', id: climate.id, field, message });
  const problems: Problem[] = [];
  if (climates.some(({ id, roomId }) => id !== climate.id && roomId === climate.roomId))
    problems.push(at('heating', 'The heating and airing of this room is stated already: change that one.'));
  if (climate.heating === 'set' && climate.dayFromMinute === climate.dayToMinute)
    problems.push(at('dayToMinute', 'The day of the heating must end at another time than it begins.'));
  return problems;
}

/** What a thing cannot be without. */
const NEEDS: Readonly<Partial<Record<AirThing['kind'], readonly ['gramsH' | 'areaM2' | 'airM3H', string]>>> = {
  humidifier: ['gramsH', 'How much water it gives: more than 0 g/h.'],
  dehumidifier: ['gramsH', 'How much water it takes: more than 0 g/h.'],
  'heat-mat': ['areaM2', 'How large it is: more than 0 m².'],
  'open-water': ['areaM2', 'How large it is: more than 0 m².'],
  extractor: ['airM3H', 'How much air it moves: more than 0 m³/h.'],
};
/** Between a humidifier's set point and a dehumidifier's: nearer, each works against the other, points. */
const APART_RH = 5;

export function airThingProblems(thing: AirThing, { rooms, airThings }: Facts): Problem[] {
  const room = rooms.find(({ id }) => id === thing.roomId);
  if (!room) return [];
  const at = (field: string, message: string): Problem => ({ list: 'airThings', id: thing.id, field, message });
  const problems: Problem[] = [];
  const ways = [
    ['xM', thing.xM, room.widthM],
    ['yM', thing.yM, room.depthM],
    ['zM', thing.zM, room.heightM],
  ] as const;
  for (const [field, value, most] of ways)
    if (value > most) problems.push(at(field, `Outside the room: from 0 to ${metres(most)}.`));
  const need = NEEDS[thing.kind];
  if (need && thing[need[0]] <= 0) problems.push(at(...need));
  if (thing.fromMinute === thing.toMinute)
    problems.push(at('toMinute', 'It would stop the minute it starts. All day is from 0:00 to 24:00.'));
  const against = airThings.find(
    ({ roomId, kind, setRh }) =>
      thing.kind === 'humidifier' &&
      thing.setRh !== null &&
      kind === 'dehumidifier' &&
      roomId === thing.roomId &&
      setRh !== null &&
      thing.setRh > setRh - APART_RH,
  );
  if (against)
    problems.push(
      at('setRh', `${against.name} dries the air to ${against.setRh} %: at most ${against.setRh! - APART_RH} % here.`),
    );
  return problems;
}

export function doorwayProblems(doorway: Doorway, { rooms }: Facts): Problem[] {
  const room = rooms.find(({ id }) => id === doorway.roomId);
  const other = rooms.find(({ id }) => id === doorway.toRoomId);
  if (!room || !other) return [];
  const at = (field: string, message: string): Problem => ({ list: 'doorways', id: doorway.id, field, message });
  const problems: Problem[] = [];
  if (room.id === other.id) problems.push(at('toRoomId', 'A doorway leads to another room.'));
  if (other.insideRoomId !== null || room.insideRoomId !== null)
    problems.push(at('toRoomId', 'A cabinet has no doorway: how it is aired says how its air mixes.'));
  const most = Math.min(room.heightM, other.heightM);
  if (doorway.heightM > most) problems.push(at('heightM', `Higher than a room: at most ${metres(most)}.`));
  return problems;
}
