/** Setting a sill into the opening of a window: what of the home changes by it. */
import {
  PLAIN_STAND,
  patch,
  put,
  type Change,
  type HomeFacts,
  type Room,
  type Spot,
  type Stand,
  type Tier,
  type Window,
} from '../facts';
import { hasReveal, sillIn } from '../room';

/** Kept to the millimetre. */
const toMillimetres = (metres: number) => Math.round(metres * 1000) / 1000;

/** The windows of its room in whose opening a sill could lie and does not yet. */
export function openingsFor(facts: HomeFacts, stand: Stand): Window[] {
  const room = facts.rooms.find(({ id }) => id === stand.roomId);
  if (!room || stand.kind !== 'sill') return [];
  return facts.windows.filter((window) => {
    if (window.roomId !== room.id || !hasReveal(window)) return false;
    const { xM, yM } = sillIn(room, window);
    return xM !== stand.xM || yM !== stand.yM;
  });
}

/** The stand, its tiers and its spots as they lie in a window's opening; spots keep their place along it and across. */
export function intoOpening(facts: HomeFacts, stand: Stand, window: Window): Change[] {
  const room = facts.rooms.find(({ id }) => id === stand.roomId)!;
  const there = sillIn(room, window);
  const tiers = facts.tiers.filter(({ standId }) => standId === stand.id);
  const own = new Set(tiers.map(({ id }) => id));
  return [
    patch('stands', stand.id, there),
    ...tiers.map(({ id }) => patch('tiers', id, { heightM: window.sillM })),
    ...facts.spots
      .filter(({ tierId }) => own.has(tierId))
      .map(({ id, alongM, acrossM }) =>
        patch('spots', id, {
          alongM: toMillimetres((alongM / stand.widthM) * there.widthM),
          acrossM: toMillimetres((acrossM / stand.depthM) * there.depthM),
        }),
      ),
  ];
}

/** A board before a window without a deep opening reaches so far into the room, m. */
const BOARD_DEPTH_M = 0.2;
/** Pots on a sill stand about so far apart, m. */
const POT_PITCH_M = 0.28;
/** A board over the width of the window holds about so much a metre, kg. */
const LOAD_KG_PER_M = 15;

/** A sill within this of a window's board is that window's sill, m. */
const NEAR_M = 0.3;

/** The upright windows of a room under which no sill lies yet. */
export function windowsWithoutSill(facts: HomeFacts, room: Room): Window[] {
  const sills = facts.stands.filter(({ roomId, kind }) => roomId === room.id && kind === 'sill');
  return facts.windows.filter((window) => {
    if (window.roomId !== room.id || window.slopeDeg < 90) return false;
    const board = boardUnder(room, window);
    return !sills.some(
      (sill) =>
        sill.xM < board.xM + board.widthM + NEAR_M &&
        sill.xM + sill.widthM > board.xM - NEAR_M &&
        sill.yM < board.yM + board.depthM + NEAR_M &&
        sill.yM + sill.depthM > board.yM - NEAR_M,
    );
  });
}

type Board = Pick<Stand, 'xM' | 'yM' | 'widthM' | 'depthM'>;

/** Where the board of a window's sill lies: in the opening where that is deep enough, else before the wall. */
const boardUnder = (room: Room, window: Window): Board =>
  hasReveal(window) ? sillIn(room, window) : boardBefore(room, window);

/**
 * A sill under a window: the board as wide as the window, in its opening where that is deep enough, at its lower edge,
 * with as many spots side by side as pots fit on it.
 * @param newId makes a key for each new entry
 */
export function sillUnder(facts: HomeFacts, window: Window, newId: () => string): Change[] {
  const room = facts.rooms.find(({ id }) => id === window.roomId)!;
  const there = boardUnder(room, window);
  const stand: Stand = {
    id: newId(),
    roomId: room.id,
    name: `${window.name} sill`,
    kind: 'sill',
    ...there,
    ...PLAIN_STAND,
  };
  const tier: Tier = { id: newId(), standId: stand.id, heightM: window.sillM, board: 'solid' };
  const isAlongX = window.side === 'a' || window.side === 'c';
  const lengthM = isAlongX ? there.widthM : there.depthM;
  const count = Math.max(1, Math.floor(lengthM / POT_PITCH_M));
  const spots = Array.from({ length: count }, (_, i): Spot => {
    const middle = toMillimetres(((i + 0.5) / count) * lengthM);
    const across = toMillimetres((isAlongX ? there.depthM : there.widthM) / 2);
    return {
      id: newId(),
      tierId: tier.id,
      name: `${stand.name} ${i + 1}`,
      alongM: isAlongX ? middle : across,
      acrossM: isAlongX ? across : middle,
      sizeM: toMillimetres(lengthM / count),
      freeHeightM: Math.min(window.heightM, room.heightM - window.sillM),
      loadKg: Math.max(1, Math.round((LOAD_KG_PER_M * lengthM) / count)),
      reach: 'easy',
    };
  });
  return [put('stands', stand), put('tiers', tier), ...spots.map((spot) => put('spots', spot))];
}

/** Where a board lies along the wall under a window, in the room. */
function boardBefore(room: Room, { side, offsetM, widthM }: Window): Board {
  const depthM = BOARD_DEPTH_M;
  switch (side) {
    case 'a':
      return { xM: offsetM, yM: 0, widthM, depthM };
    case 'c':
      return { xM: offsetM, yM: toMillimetres(room.depthM - depthM), widthM, depthM };
    case 'b':
      return { xM: toMillimetres(room.widthM - depthM), yM: offsetM, widthM: depthM, depthM: widthM };
    case 'd':
      return { xM: 0, yM: offsetM, widthM: depthM, depthM: widthM };
  }
}
