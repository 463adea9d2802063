/** In which order things on a stand are listed: as one sees them. */
import { smallHome } from '../../core/src/home/small-home.fixture';
import { lampsOn, spotsOn } from './in-order';

const [spot] = smallHome.spots.filter(({ tierId }) => smallHome.lamps.some((lamp) => lamp.tierId === tierId));
const tier = smallHome.tiers.find(({ id }) => id === spot!.tierId)!;
const [lamp] = smallHome.lamps.filter(({ tierId }) => tierId === tier.id);
const places = [
  { id: 'far', alongM: 0.9, acrossM: 0.1 },
  { id: 'near-wall-a', alongM: 0.2, acrossM: 0.1 },
  { id: 'near-wall-c', alongM: 0.2, acrossM: 0.4 },
];

const homeWith = (size: { readonly widthM: number; readonly depthM: number }) => ({
  ...smallHome,
  stands: smallHome.stands.map((stand) => (stand.id === tier.standId ? { ...stand, ...size } : stand)),
  spots: [...places].reverse().map((place) => ({ ...spot!, ...place })),
  lamps: places.map((place) => ({ ...lamp!, ...place })),
});

it('runs along a stand that is wide, and across it where two are level', () => {
  const facts = homeWith({ widthM: 1, depthM: 0.5 });
  expect(spotsOn(facts, tier.id).map(({ id }) => id)).toEqual(['near-wall-a', 'near-wall-c', 'far']);
  expect(lampsOn(facts, tier.id).map(({ id }) => id)).toEqual(['near-wall-a', 'near-wall-c', 'far']);
});

it('runs from wall A on a stand that is deeper than wide', () => {
  const facts = homeWith({ widthM: 0.5, depthM: 1 });
  expect(spotsOn(facts, tier.id).map(({ id }) => id)).toEqual(['near-wall-a', 'far', 'near-wall-c']);
});

it('leaves out what lies on other tiers, and the facts as they were', () => {
  const facts = homeWith({ widthM: 1, depthM: 0.5 });
  const before = facts.spots.map(({ id }) => id);
  expect(spotsOn({ ...facts, spots: [...facts.spots, { ...spot!, tierId: 'other' }] }, tier.id)).toHaveLength(3);
  expect(spotsOn(facts, 'gone')).toEqual([]);
  expect(facts.spots.map(({ id }) => id)).toEqual(before);
});
