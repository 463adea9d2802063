/** Drawn cabinets are such as could stand in the room they are drawn for. */
import type { HomeFacts } from '../src/facts';
import { drawnHome } from './random-homes';

const homes = Array.from({ length: 150 }, (_, i) => drawnHome(i + 1));
const withCabinet = homes.filter(({ kinds }) => kinds.includes('cabinet'));
const cabinetOf = ({ rooms }: HomeFacts) => rooms.find(({ insideRoomId }) => insideRoomId !== null)!;

describe('a drawn cabinet', () => {
  it('stands in some homes, and in those alone that say so', () => {
    expect(withCabinet.length).toBeGreaterThan(15);
    expect(withCabinet.length).toBeLessThan(60);
    for (const { facts, kinds } of homes) expect(facts.rooms).toHaveLength(kinds.includes('cabinet') ? 2 : 1);
  });

  it('lies within its room and throws back no more than does not pass', () => {
    for (const { facts } of withCabinet) {
      const [room] = facts.rooms;
      const { insideXM, insideYM, insideZM, widthM, depthM, heightM, ...shell } = cabinetOf(facts);
      expect(insideXM + widthM).toBeLessThanOrEqual(room!.widthM + 1e-3);
      expect(insideYM + depthM).toBeLessThanOrEqual(room!.depthM + 1e-3);
      expect(insideZM + heightM).toBeLessThan(room!.heightM);
      expect(Math.min(insideXM, insideYM, insideZM)).toBeGreaterThanOrEqual(0);
      expect(shell.shellTransmittance + Math.max(shell.wallReflectance, shell.ceilingReflectance)).toBeLessThan(1);
    }
  });

  it('stands clear of tables, shelves and cupboards', () => {
    for (const { facts } of withCabinet) {
      const cabinet = cabinetOf(facts);
      const things = [...facts.stands.filter(({ roomId }) => roomId === 'room'), ...facts.blocks];
      for (const { xM, yM, widthM, depthM } of things) {
        const apart =
          xM >= cabinet.insideXM + cabinet.widthM ||
          xM + widthM <= cabinet.insideXM ||
          yM >= cabinet.insideYM + cabinet.depthM ||
          yM + depthM <= cabinet.insideYM;
        expect(apart).toBe(true);
      }
    }
  });

  it('holds its spots and its lamp', () => {
    for (const { facts } of withCabinet) {
      const cabinet = cabinetOf(facts);
      const stand = facts.stands.find(({ roomId }) => roomId === cabinet.id)!;
      const tiers = facts.tiers.filter(({ standId }) => standId === stand.id);
      expect(tiers.length).toBeGreaterThan(0);
      for (const { id, heightM } of tiers) {
        expect(heightM + 0.12).toBeLessThan(cabinet.heightM);
        const spot = facts.spots.find(({ tierId }) => tierId === id)!;
        expect(stand.xM + spot.alongM).toBeLessThan(cabinet.widthM);
        expect(stand.yM + spot.acrossM).toBeLessThan(cabinet.depthM);
        for (const lamp of facts.lamps.filter(({ tierId }) => tierId === id))
          expect(heightM + lamp.aboveM).toBeLessThan(cabinet.heightM);
      }
    }
  });
});
