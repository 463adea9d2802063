/** Lamps hung anew: by how much they may be raised, and what that changes. */
import { patch, type Change, type Circuit, type HomeFacts, type Lamp } from '../facts';

/** How much higher than now lamps are tried, m. */
const RAISES_TRIED_M = [-0.2, -0.1, 0.1, 0.2] as const;
/** Leaves burn nearer to a lamp, and no light is even there, m above the board: judgement. */
const LEAST_ABOVE_M = 0.12;
/** A lamp keeps this far from the board over it, m. */
const FROM_BOARD_M = 0.04;

/** How high a lamp can hang above its tier's board, m: under the next board of its stand, or the ceiling. */
function highest({ tiers, stands, rooms }: HomeFacts, { tierId }: Lamp): number {
  const tier = tiers.find(({ id }) => id === tierId);
  const stand = stands.find(({ id }) => id === tier?.standId);
  const room = rooms.find(({ id }) => id === stand?.roomId);
  if (!tier || !room) return 0;
  const above = tiers.filter(({ standId, heightM }) => standId === tier.standId && heightM > tier.heightM);
  return Math.min(room.heightM, ...above.map(({ heightM }) => heightM)) - tier.heightM - FROM_BOARD_M;
}

const lampsOf = ({ lamps }: HomeFacts, { id }: Circuit) => lamps.filter(({ circuitId }) => circuitId === id);

/** By how much higher than now all lamps of a timer could hang, m; less than 0 is lower. */
export function raisesOf(facts: HomeFacts, circuit: Circuit): number[] {
  const lamps = lampsOf(facts, circuit);
  if (circuit.freedom !== 'hours-level-and-height' || lamps.length === 0) return [];
  return RAISES_TRIED_M.filter((raiseM) =>
    lamps.every((lamp) => {
      const aboveM = lamp.aboveM + raiseM;
      return aboveM >= LEAST_ABOVE_M && aboveM <= highest(facts, lamp);
    }),
  );
}

/** To the centimetre: what a rule can measure. */
export const hungAt = ({ aboveM }: Lamp, raiseM: number): number => Math.round((aboveM + raiseM) * 100) / 100;

/** What hangs the lamps of a timer so much higher; nothing for 0. */
export const hangingChanges = (facts: HomeFacts, circuit: Circuit, raiseM: number): Change[] =>
  raiseM === 0 ? [] : lampsOf(facts, circuit).map((lamp) => patch('lamps', lamp.id, { aboveM: hungAt(lamp, raiseM) }));
