/** Setting a sill into the opening of a window: what of the home changes by it. */
import { patch, type Change, type HomeFacts, type Stand, type Window } from '../facts';
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
