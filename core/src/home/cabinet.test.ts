/** Cabinets in a room: shells, what they hold, and their lamps seen from without. */
import type { HomeFacts, Lamp, Room } from '../facts';
import { placedLamps } from '../lamp';
import { crownsOf, shellsOf, solidBox } from '../room';
import { asShellAllows, aroundSides, inLightOf, lampKey, lampsIn, leaksInto, shellsBut } from './cabinet';
import { smallHome } from './small-home.fixture';

const [room, box] = smallHome.rooms as [Room, Room];

/** The small home with its lamp in the cabinet, over a board half way up. */
const litBox = (given: Partial<Room> = {}, lamp: Partial<Lamp> = {}): HomeFacts => ({
  ...smallHome,
  rooms: [room, { ...box, ...given }],
  tiers: [...smallHome.tiers, { id: 'box-2', standId: 'in-box', heightM: 0.3, board: 'solid' }],
  lamps: [{ ...smallHome.lamps[0]!, tierId: 'box-2', lengthM: 0.4, alongM: 0.3, acrossM: 0.2, aboveM: 0.25, ...lamp }],
});
const none = () => {
  throw new Error('No file is asked for.');
};
const leaksOf = (facts: HomeFacts) => leaksInto(facts, 'r', placedLamps(facts, none));

describe('the surfaces of a cabinet', () => {
  it('throw back no more than does not pass, but for the floor', () => {
    const glazed = asShellAllows({ ...box, shellTransmittance: 0.85 });
    expect(glazed.wallReflectance).toBeCloseTo(0.15, 9);
    expect(glazed.ceilingReflectance).toBeCloseTo(0.15, 9);
    expect(glazed.floorReflectance).toBe(box.floorReflectance);
  });

  it('stand as stated where the shell holds enough, and in a room of its own', () => {
    expect(asShellAllows({ ...box, shellTransmittance: 0.1 })).toEqual({ ...box, shellTransmittance: 0.1 });
    expect(asShellAllows({ ...room, shellTransmittance: 1 })).toEqual({ ...room, shellTransmittance: 1 });
  });
});

describe('a lamp in a cabinet', () => {
  it('is seen from the room where it hangs, with what the shell leaves of it', () => {
    const facts = litBox();
    const [within] = placedLamps(facts, none);
    const [leak] = leaksOf(facts);
    expect(leak!.cabinetId).toBe('box');
    expect(leak!.placed.ppf).toBeCloseTo(within!.ppf * 0.8, 9);
    expect(leak!.placed.centre.x - within!.centre.x).toBeCloseTo(box.insideXM, 9);
    expect(leak!.placed.face.corner.z - within!.face.corner.z).toBeCloseTo(box.insideZM, 9);
    expect(leak!.placed.span.y0 - within!.span.y0).toBeCloseTo(box.insideYM, 9);
    // The board under it is where the room has it.
    expect(leak!.solids).toHaveLength(1);
    expect(leak!.solids[0]).toMatchObject({ x0: box.insideXM, reflectance: 0.4 });
    expect(leak!.solids[0]!.z0).toBeCloseTo(box.insideZM + 0.3, 9);
  });

  it('is not seen through a shell that lets nothing out, nor from another room', () => {
    expect(leaksOf(litBox({ shellTransmittance: 0 }))).toEqual([]);
    const facts = litBox();
    expect(leaksInto(facts, 'box', placedLamps(facts, none))).toEqual([]);
    expect(leaksOf(smallHome)).toEqual([]);
  });

  it('has a key that differs when its light, its place or its boards do', () => {
    const keyOf = (facts: HomeFacts) => lampKey(leaksOf(facts)[0]!);
    const before = keyOf(litBox());
    expect(keyOf(litBox())).toBe(before);
    const boarded = { ...litBox(), tiers: [...litBox().tiers, { ...smallHome.tiers[3]!, id: 'b', heightM: 0.1 }] };
    const solid: HomeFacts = { ...boarded, tiers: boarded.tiers.map((tier) => ({ ...tier, board: 'solid' })) };
    for (const changed of [litBox({ shellTransmittance: 0.7 }), litBox({ insideXM: 1 }), litBox({}, { ppf: 9 }), solid])
      expect(keyOf(changed)).not.toBe(before);
  });
});

describe('what stands in the light', () => {
  const rooms = [room, box, { ...box, id: 'dome', insideXM: 3 }];
  const shells = shellsOf(rooms, 'r');
  const board = solidBox(0, 0, 1, 1, 1, 0);

  it('of a cabinet’s lamp is all but the shell it has shone through, and the boards beside it', () => {
    expect(shells.map(({ shellOf }) => shellOf)).toEqual(['box', 'dome']);
    const [leak] = leaksOf(litBox());
    expect(inLightOf(leak!, [board, ...shells])).toEqual([board, shells[1], ...leak!.solids]);
  });

  it('of a lamp of the room is everything', () => {
    const [light] = lampsIn('r', placedLamps(smallHome, none), []);
    expect(inLightOf(light!, [board, ...shells])).toEqual([board, ...shells]);
  });

  it('of the walls under a lamp are the crowns on its own tier', () => {
    const crowns = crownsOf(smallHome, 'r');
    expect(crowns.map(({ tierId }) => tierId)).toEqual(['shelf-1', 'shelf-2']);
    const [light] = lampsIn('r', placedLamps(smallHome, none), crowns);
    expect(light!.under).toEqual([crowns[0]!.occluder]);
    const planted = { ...litBox(), spots: [...smallHome.spots, { ...smallHome.spots[3]!, id: 'up', tierId: 'box-2' }] };
    const grown = { ...planted, plants: [{ ...smallHome.plants[0]!, spotId: 'up' }] };
    const [leak] = leaksOf(grown);
    expect(leak!.under).toHaveLength(1);
    expect(leak!.under[0]!.z1).toBeCloseTo(box.insideZM + 0.3 + 0.25, 9);
  });

  it('of a cabinet’s sides is its floor, what it holds and other cabinets, in the frame of the room', () => {
    const [floor, held, ...others] = aroundSides(box, [board], shells);
    expect(floor).toMatchObject({ z0: box.insideZM, z1: box.insideZM, x0: box.insideXM, extinction: Infinity });
    expect(floor!.x1 - floor!.x0).toBeCloseTo(box.widthM, 9);
    expect(held!.z0).toBeCloseTo(1 + box.insideZM, 9);
    expect(others).toEqual(shellsBut(shells, 'box'));
    expect(shellsBut(shells, null)).toEqual(shells);
  });
});
