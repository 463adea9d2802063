/**
 * What cannot be true of a home: facts that contradict each other, each with the field to mend and the range allowed.
 */
import {
  danglingIn,
  dependentsOf,
  type AirStatement,
  type Block,
  type FactKey,
  type FactList,
  type FactOf,
  type HomeFacts,
  type Lamp,
  type Problem,
  type Room,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '../facts';
import { reachInto, sideLength } from '../room';
import { airThingProblems, climateProblems, doorwayProblems } from './air-problems';
import { knowledgeProblems } from './knowledge-problems';
import { tariffProblems } from './tariff-problems';

const metres = (value: number) => `${Number(value.toFixed(2))} m`;

/** Lengths are typed in centimetres at most; a millimetre over is no contradiction. */
const SLACK_M = 0.001;

/**
 * Every contradiction in a home. An empty list means that everything fits.
 * @param changed looks only at these facts and what hangs on them; at all when it is left out
 */
export function problemsOf(facts: HomeFacts, changed?: readonly FactKey[]): Problem[] {
  const only = changed && dependentsOf(facts, changed);
  const byId = indexes(facts);
  const looked = <L extends FactList>(list: L, look: (fact: FactOf[L], byId: Indexes) => readonly Problem[]) => {
    const asked = only?.get(list);
    if (only && (!asked || asked.size === 0)) return [];
    return (facts[list] as readonly FactOf[L][]).flatMap((fact) =>
      asked && !asked.has(fact.id) ? [] : look(fact, byId),
    );
  };
  return [
    ...danglingIn(facts, only),
    ...looked('rooms', roomProblems),
    ...looked('windows', windowProblems),
    ...looked('blocks', blockProblems),
    ...looked('stands', standProblems),
    ...looked('tiers', tierProblems),
    ...looked('spots', spotProblems),
    ...looked('circuits', (circuit) =>
      circuit.offMinute <= circuit.onMinute
        ? [
            {
              list: 'circuits',
              id: circuit.id,
              field: 'offMinute',
              message: 'The lamps must go off after they come on, the same day (24:00 at the latest).',
            },
          ]
        : [],
    ),
    ...looked('lamps', lampProblems),
    ...looked('air', airProblems),
    ...looked('climates', (climate) => climateProblems(climate, facts)),
    ...looked('airThings', (thing) => airThingProblems(thing, facts)),
    ...looked('doorways', (doorway) => doorwayProblems(doorway, facts)),
    ...tariffProblems(facts, changed),
    ...knowledgeProblems(facts, only),
  ];
}

type Indexes = ReturnType<typeof indexes>;

function indexes(facts: HomeFacts) {
  const index = <T extends { readonly id: string }>(list: readonly T[]) => new Map(list.map((item) => [item.id, item]));
  return {
    rooms: index(facts.rooms),
    stands: index(facts.stands),
    tiers: index(facts.tiers),
    air: facts.air,
    windows: facts.windows,
  };
}

function airProblems(statement: AirStatement, { air }: Indexes): Problem[] {
  return air.some(
    (other) => other.id !== statement.id && other.roomId === statement.roomId && other.month === statement.month,
  )
    ? [{ list: 'air', id: statement.id, field: 'month', message: 'This month is already stated for this room.' }]
    : [];
}

function roomProblems(room: Room, { rooms }: Indexes): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'rooms', id: room.id, field, message });
  if (room.eveningLux > 0 && room.eveningToMinute <= room.eveningFromMinute) {
    return [
      at('eveningToMinute', 'The room’s light must go out after it comes on, the same day (24:00 at the latest).'),
    ];
  }
  if (room.insideRoomId === null) return [];
  const outer = rooms.get(room.insideRoomId);
  if (!outer) return [];
  if (outer.id === room.id || outer.insideRoomId !== null) {
    return [at('insideRoomId', 'An enclosure stands in a room, not in itself or in another enclosure.')];
  }
  const problems: Problem[] = [];
  if (room.insideXM + room.widthM > outer.widthM + SLACK_M) {
    problems.push(
      at(
        'insideXM',
        `It would stick out of ${outer.name}: at most ${metres(Math.max(0, outer.widthM - room.widthM))}.`,
      ),
    );
  }
  if (room.insideYM + room.depthM > outer.depthM + SLACK_M) {
    problems.push(
      at(
        'insideYM',
        `It would stick out of ${outer.name}: at most ${metres(Math.max(0, outer.depthM - room.depthM))}.`,
      ),
    );
  }
  if (room.insideZM + room.heightM > outer.heightM + SLACK_M) {
    problems.push(
      at('insideZM', `It would stand above the ceiling: at most ${metres(Math.max(0, outer.heightM - room.heightM))}.`),
    );
  }
  return problems;
}

function windowProblems(window: Window, { rooms }: Indexes): Problem[] {
  const room = rooms.get(window.roomId);
  if (!room) return [];
  const at = (field: string, message: string): Problem => ({ list: 'windows', id: window.id, field, message });
  const problems: Problem[] = [];
  const wall = sideLength(room, window.side);
  if (window.widthM > wall + SLACK_M) {
    problems.push(at('widthM', `Wider than its wall: at most ${metres(wall)}.`));
  } else if (window.offsetM + window.widthM > wall + SLACK_M) {
    problems.push(at('offsetM', `It would reach past the end of the wall: at most ${metres(wall - window.widthM)}.`));
  }
  const rise = window.heightM * Math.sin((window.slopeDeg * Math.PI) / 180);
  if (window.sillM >= room.heightM) {
    problems.push(at('sillM', `Its lower edge would be above the ceiling: less than ${metres(room.heightM)}.`));
  } else if (window.sillM + rise > room.heightM + SLACK_M) {
    problems.push(
      at(
        'heightM',
        `Its upper edge would be ${metres(window.sillM + rise)} up, above the ceiling at ${metres(room.heightM)}.`,
      ),
    );
  }
  const depth = sideLength(room, window.side === 'a' || window.side === 'c' ? 'b' : 'a');
  const run = window.heightM * Math.cos((window.slopeDeg * Math.PI) / 180);
  if (window.insetM + run > depth + SLACK_M) {
    problems.push(at('insetM', `It would reach beyond the room: at most ${metres(Math.max(0, depth - run))}.`));
  }
  for (const [i, { fromMinute, toMinute }] of window.curtains.entries()) {
    if (toMinute !== fromMinute) continue;
    const which = i === 0 ? 'The curtain' : 'The second curtain';
    problems.push(at('curtains', `${which} would open the minute it is shut. All day is from 0:00 to 24:00.`));
  }
  return problems;
}

function blockProblems(block: Block, { rooms }: Indexes): Problem[] {
  const room = rooms.get(block.roomId);
  if (!room) return [];
  const ways = [
    ['xM', block.xM, block.widthM, room.widthM],
    ['yM', block.yM, block.depthM, room.depthM],
    ['zM', block.zM, block.heightM, room.heightM],
  ] as const;
  return ways.flatMap(([field, from, size, whole]): Problem[] =>
    from + size > whole + SLACK_M
      ? [
          {
            list: 'blocks',
            id: block.id,
            field,
            message: `It would reach out of the room: at most ${metres(Math.max(0, whole - size))} with its size.`,
          },
        ]
      : [],
  );
}

function standProblems(stand: Stand, { rooms, windows }: Indexes): Problem[] {
  const room = rooms.get(stand.roomId);
  if (!room) return [];
  const at = (field: string, message: string): Problem => ({ list: 'stands', id: stand.id, field, message });
  const problems: Problem[] = [];
  const reach = reachInto({ windows }, room, stand);
  const fits = (
    field: string,
    sizeField: string,
    from: number,
    size: number,
    low: number,
    high: number,
    way: string,
  ) => {
    if (size > high - low + SLACK_M)
      problems.push(at(sizeField, `Larger than the room ${way}: at most ${metres(high - low)}.`));
    else if (from + size > high + SLACK_M)
      problems.push(at(field, `It would stand through the wall: at most ${metres(high - size)}.`));
    else if (from < low - SLACK_M)
      problems.push(at(field, `It would stand through the wall: at least ${metres(low)}.`));
  };
  fits('xM', 'widthM', stand.xM, stand.widthM, -reach.d, room.widthM + reach.b, 'along wall A');
  fits('yM', 'depthM', stand.yM, stand.depthM, -reach.a, room.depthM + reach.c, 'from wall A to C');
  return problems;
}

function roomOfStand(stand: Stand | undefined, { rooms }: Indexes): Room | undefined {
  return stand && rooms.get(stand.roomId);
}

function tierProblems(tier: Tier, byId: Indexes): Problem[] {
  const stand = byId.stands.get(tier.standId);
  if (!stand) return [];
  const room = roomOfStand(stand, byId);
  if (room && tier.heightM > room.heightM - 0.05) {
    return [
      {
        list: 'tiers',
        id: tier.id,
        field: 'heightM',
        message: `No room above it: at most ${metres(room.heightM - 0.05)} under this ceiling.`,
      },
    ];
  }
  return [];
}

function spotProblems(spot: Spot, byId: Indexes): Problem[] {
  const tier = byId.tiers.get(spot.tierId);
  const stand = tier && byId.stands.get(tier.standId);
  if (!tier || !stand) return [];
  const at = (field: string, message: string): Problem => ({ list: 'spots', id: spot.id, field, message });
  const problems: Problem[] = [];
  if (spot.alongM > stand.widthM + SLACK_M) {
    problems.push(at('alongM', `Outside ${stand.name}: from 0 to ${metres(stand.widthM)}.`));
  }
  if (spot.acrossM > stand.depthM + SLACK_M) {
    problems.push(at('acrossM', `Outside ${stand.name}: from 0 to ${metres(stand.depthM)}.`));
  }
  const room = roomOfStand(stand, byId);
  if (room && tier.heightM + spot.freeHeightM > room.heightM + SLACK_M) {
    problems.push(at('freeHeightM', `The ceiling leaves ${metres(room.heightM - tier.heightM)} above this tier.`));
  }
  return problems;
}

function lampProblems(lamp: Lamp, byId: Indexes): Problem[] {
  const at = (field: string, message: string): Problem => ({ list: 'lamps', id: lamp.id, field, message });
  const tier = byId.tiers.get(lamp.tierId);
  const stand = tier && byId.stands.get(tier.standId);
  if (!tier || !stand) return [];
  const problems: Problem[] = [];
  if (lamp.ratedBy === 'lumens' && lamp.lumens === null)
    problems.push(at('lumens', 'How many lumens its label tells: from 1 to 400000 lm.'));
  const room = roomOfStand(stand, byId);
  if (room && tier.heightM + lamp.aboveM > room.heightM + SLACK_M) {
    problems.push(at('aboveM', `Above the ceiling: at most ${metres(room.heightM - tier.heightM)} over this tier.`));
  }
  if (lamp.alongM > stand.widthM + SLACK_M)
    problems.push(at('alongM', `Outside ${stand.name}: from 0 to ${metres(stand.widthM)}.`));
  if (lamp.acrossM > stand.depthM + SLACK_M)
    problems.push(at('acrossM', `Outside ${stand.name}: from 0 to ${metres(stand.depthM)}.`));
  if ((lamp.form === 'bar' || lamp.form === 'panel') && lamp.photometryId === null && lamp.lengthM <= 0)
    problems.push(at('lengthM', 'A bar or panel has a length: more than 0.'));
  if (lamp.form === 'panel' && lamp.photometryId === null && lamp.breadthM <= 0)
    problems.push(at('breadthM', 'A panel has a breadth: more than 0.'));
  return problems;
}
