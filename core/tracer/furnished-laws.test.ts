/** Laws of light in homes with everything in them: mirrored, turned, furnished. */
import type { HomeFacts, Obstruction, Room, Side, Stand, Window } from '../src/facts';
import { enclosureOf } from '../src/light/enclosure';
import { UP, solidBox, vec } from '../src/room';
import { byEngine, type SpotLight } from './compare';
import { drawnHome, type Drawn } from './random-homes';

const SEEDS = [13, 16, 22, 26];

const turned = (bearing: number, by: number) => (((bearing + by) % 360) + 360) % 360;

/** The whole home, what stands outside and the sun turned by an angle. */
function rotated(drawn: Drawn, byDeg: number): Drawn {
  const { facts, outdoors } = drawn;
  return {
    ...drawn,
    facts: {
      ...facts,
      rooms: facts.rooms.map((room) => ({ ...room, wallABearing: turned(room.wallABearing, byDeg) })),
      obstructions: facts.obstructions.map((thing) => ({
        ...thing,
        fromBearing: turned(thing.fromBearing, byDeg),
        toBearing: turned(thing.toBearing, byDeg),
      })),
    },
    outdoors: { ...outdoors, sunAzimuthDeg: turned(outdoors.sunAzimuthDeg, byDeg) },
  };
}

const MIRROR_SIDE: Record<Side, Side> = { a: 'a', b: 'd', c: 'c', d: 'b' };

/** The home as a mirror beside wall B shows it: left and right changed over. */
function mirrored(drawn: Drawn): Drawn {
  const { facts, outdoors } = drawn;
  const [room] = facts.rooms as [Room];
  const { widthM, wallABearing } = room;
  const bearing = (azimuth: number) => turned(2 * wallABearing - azimuth, 0);
  const windowIn = (window: Window): Window => ({
    ...window,
    side: MIRROR_SIDE[window.side],
    offsetM: window.side === 'a' || window.side === 'c' ? widthM - window.offsetM - window.widthM : window.offsetM,
  });
  const cabinetIn = (cabinet: Room): Room =>
    cabinet.insideRoomId === null ? cabinet : { ...cabinet, insideXM: widthM - cabinet.insideXM - cabinet.widthM };
  const holderWidth = (roomId: string) => facts.rooms.find(({ id }) => id === roomId)!.widthM;
  const standIn = (stand: Stand): Stand => ({
    ...stand,
    xM: holderWidth(stand.roomId) - stand.xM - stand.widthM,
  });
  const widthOf = (tierId: string) =>
    facts.stands.find(({ id }) => id === facts.tiers.find((tier) => tier.id === tierId)!.standId)!.widthM;
  const thingIn = (thing: Obstruction): Obstruction => ({
    ...thing,
    fromBearing: bearing(thing.toBearing),
    toBearing: bearing(thing.fromBearing),
  });
  const mirror: HomeFacts = {
    ...facts,
    rooms: facts.rooms.map(cabinetIn),
    windows: facts.windows.map(windowIn),
    stands: facts.stands.map(standIn),
    blocks: facts.blocks.map((block) => ({ ...block, xM: widthM - block.xM - block.widthM })),
    spots: facts.spots.map((spot) => ({ ...spot, alongM: widthOf(spot.tierId) - spot.alongM })),
    lamps: facts.lamps
      .filter(({ photometryId }) => photometryId === null)
      .map((lamp) => ({
        ...lamp,
        alongM: widthOf(lamp.tierId) - lamp.alongM,
        tiltToward: MIRROR_SIDE[lamp.tiltToward],
      })),
    obstructions: facts.obstructions.map(thingIn),
  };
  return { ...drawn, facts: mirror, outdoors: { ...outdoors, sunAzimuthDeg: bearing(outdoors.sunAzimuthDeg) } };
}

/** Without lamps of a measured file, whose planes have a left and a right. */
const withoutFiles = (drawn: Drawn): Drawn => ({
  ...drawn,
  facts: { ...drawn.facts, lamps: drawn.facts.lamps.filter(({ photometryId }) => photometryId === null) },
});

function expectAlike(one: readonly SpotLight[], other: readonly SpotLight[], share: number): void {
  expect(other).toHaveLength(one.length);
  one.forEach((light, i) => {
    expect(Math.abs(other[i]!.total - light.total)).toBeLessThan(Math.max(share * light.total, 0.05));
  });
}

describe('a furnished home', () => {
  it.each(SEEDS)('%s has the same light when it is turned with the sun and all that stands outside', (seed) => {
    const drawn = drawnHome(seed);
    // Whole nodes of the sky, so that it is the same sky.
    expectAlike(byEngine(drawn), byEngine(rotated(drawn, 90)), 0.015);
  });

  it.each(SEEDS)('%s has the same light in the mirror', (seed) => {
    const drawn = drawnHome(seed);
    expectAlike(byEngine(withoutFiles(drawn)), byEngine(mirrored(drawn)), 0.03);
  });

  it('a black board hung lower never brightens what is under it', () => {
    const drawn = drawnHome(16);
    const [stand] = drawn.facts.stands;
    const under = drawn.facts.spots.find(
      ({ tierId }) => drawn.facts.tiers.find(({ id }) => id === tierId)!.standId === stand!.id,
    )!;
    const tierOf = drawn.facts.tiers.find(({ id }) => id === under.tierId)!;
    const lightUnder = (aboveM: number): number => {
      const facts: HomeFacts = {
        ...drawn.facts,
        lamps: [],
        plants: [],
        stands: [...drawn.facts.stands, { ...stand!, id: 'over', reflectance: 0 }],
        tiers: [
          ...drawn.facts.tiers.filter(({ standId, heightM }) => standId !== stand!.id || heightM <= tierOf.heightM),
          { id: 'over-board', standId: 'over', heightM: tierOf.heightM + aboveM, board: 'solid' },
        ],
      };
      return byEngine({ ...drawn, facts }).find(({ spotId }) => spotId === under.id)!.total;
    };
    const heights = [1.1, 0.8, 0.55, 0.35, 0.2].map(lightUnder);
    heights.slice(1).forEach((light, i) => expect(light).toBeLessThanOrEqual(heights[i]! * 1.005));
    expect(heights[4]!).toBeLessThan(heights[0]! * 0.9);
  });
});

describe('a closed room of one reflectance', () => {
  const room = { widthM: 4, depthM: 3, heightM: 2.5 };
  const shelves = (reflectance: number) => [
    solidBox(0.5, 0, 0.4, 1.2, 0.4, 0, reflectance),
    solidBox(0.5, 0, 0.9, 1.2, 0.4, 0, reflectance),
    solidBox(3, 1, 0, 0.6, 0.8, 1.8, reflectance),
    solidBox(1.5, 1.6, 0.75, 1, 0.6, 0, reflectance),
  ];

  it.each([0.3, 0.6, 0.85])('and things of it, %s, gives back what enters, wherever a leaf is', (reflectance) => {
    const solids = shelves(reflectance);
    const enclosure = enclosureOf(
      { ...room, floorReflectance: reflectance, wallReflectance: reflectance, ceilingReflectance: reflectance },
      [],
      6,
      { reveals: [], solids },
    );
    // An even light of 1 on every piece comes back as r + r2 + r3 …
    const wanted = reflectance / (1 - reflectance);
    for (const point of [
      vec(2, 1.5, 1.2),
      vec(1, 0.2, 0.52),
      vec(2, 1.9, 0.3),
      vec(0.2, 2.8, 2.2),
      vec(3.3, 0.5, 0.4),
    ]) {
      const { whole } = enclosure.importance({ point, normal: UP }, solids);
      const back = whole.reduce((sum, one) => sum + one, 0);
      expect(Math.abs(back / wanted - 1)).toBeLessThan(0.04);
    }
  });
});
