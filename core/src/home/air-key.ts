/** What the air of joined rooms depends on, as one text: the same text, the same air. */
import { tiersIn, type HomeFacts, type Room } from '../facts';
import type { Sources } from './knowledge';
import { coversOf } from './leaf-covers';
import type { HomeSky } from './lit-home';
import type { Scene } from './scene';

interface KeyInputs {
  readonly facts: HomeFacts;
  readonly sources: Sources;
  readonly scene: Scene;
  readonly sky: HomeSky;
}

/** All that the air of joined rooms depends on. */
export function airKeyOf({ facts, sources, scene, sky }: KeyInputs, rooms: readonly Room[]): string {
  const ids = new Set(rooms.map(({ id }) => id));
  const here = <T extends { readonly roomId: string }>(list: readonly T[]) =>
    list.filter(({ roomId }) => ids.has(roomId));
  const tiers = tiersIn(facts, [...ids]);
  const lamps = facts.lamps
    .filter(({ tierId }) => tiers.has(tierId))
    .map(({ circuitId, powerW, dimming }) => [circuitId, powerW * dimming]);
  const circuits = lamps.length > 0 ? facts.circuits.map(({ name: _name, ...circuit }) => circuit) : [];
  const light = rooms.map(({ id, insideRoomId, insideXM, insideYM, insideZM, airMovement, shellTransmittance }) => {
    const { geometryKey, curtainsKey, solidsKey } = scene.rooms.get(id)!;
    // What falls into a cabinet comes past what stands in it and in its room.
    const outer = insideRoomId === null ? '' : `${solidsKey}${scene.rooms.get(insideRoomId)?.solidsKey ?? ''}`;
    return [geometryKey, curtainsKey, outer, insideXM, insideYM, insideZM, airMovement, shellTransmittance];
  });
  const covers = rooms.map(({ id }) => coversOf(facts, sources, id));
  const { elevationM, climateId, latitude } = facts.home;
  return JSON.stringify([
    sky.key,
    [elevationM, climateId, latitude],
    light,
    here(facts.climates),
    here(facts.learntAir),
    here(facts.airThings),
    here(facts.doorways),
    lamps,
    circuits,
    covers,
  ]);
}
