/** Where a plant cannot stand, and why: each reason by itself. */
import type { HomeFacts, HouseholdMember, Plant, Spot, Wish } from '../facts';
import type { Knowledge } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { placedSpots } from '../room';
import { REFUSALS, refusalTable, type SpotRefusal } from './refusals';

const [shade, sun] = smallHome.plants as [Plant, Plant];

const withPlant = (fields: Partial<Plant>): HomeFacts => ({ ...smallHome, plants: [{ ...shade, ...fields }, sun] });
const withSpot = (id: string, fields: Partial<Spot>): HomeFacts => ({
  ...smallHome,
  spots: smallHome.spots.map((spot) => (spot.id === id ? { ...spot, ...fields } : spot)),
});
const wish = (kind: Wish['kind'], fields: Partial<Wish>): Wish => ({
  ...{ id: kind, homeId: 'h', kind, plantId: null, spotId: null, standId: null, group: '', care: 'usual', ...fields },
});

/** The sun plant is poisonous to dogs and birds, the shade plant to nobody. */
const knowledge: Knowledge = {
  ...smallKnowledge,
  taxon(id) {
    const taxon = smallKnowledge.taxon(id);
    if (!taxon || id !== sun.taxonId) return taxon;
    return { ...taxon, hazard: { ...taxon.hazard, dogs: 'toxic', birds: 'toxic' } };
  },
};

/** Why the first plant cannot stand on a spot; null where it can. */
function whyNot(facts: HomeFacts, spotId: string, household: readonly HouseholdMember[] = []): SpotRefusal | null {
  const spots = placedSpots(facts);
  const { why } = refusalTable(facts, spots, { household }, smallKnowledge);
  const found = why[spots.findIndex(({ spot }) => spot.id === spotId)]!;
  return found < 0 ? null : REFUSALS[found]!;
}

const elsewhere = smallHome.spots.find(({ id }) => id !== shade.spotId && id !== 'boxed')!.id;

it('a plant of usual size may stand on any spot', () => {
  for (const { id } of smallHome.spots) expect(whyNot(withPlant({ potCm: 9, heightCm: 10 }), id)).toBeNull();
});

it('a pot wider than the spot, or heavier than it bears, is refused', () => {
  const small = withSpot(elsewhere, { sizeM: 0.25, loadKg: 50 });
  expect(whyNot({ ...small, plants: [{ ...shade, potCm: 30 }, sun] }, elsewhere)).toBe('too-wide');
  const narrow = withSpot(elsewhere, { sizeM: 2, loadKg: 0.4 });
  expect(whyNot({ ...narrow, plants: [{ ...shade, potCm: 12 }, sun] }, elsewhere)).toBe('too-heavy');
});

it('a plant taller than what is free above a spot is refused', () => {
  expect(whyNot(withPlant({ heightCm: 240 }), elsewhere)).toBe('too-tall');
});

it('where it stands it fits, whatever the figures say', () => {
  expect(whyNot(withPlant({ potCm: 60, heightCm: 240 }), shade.spotId!)).toBeNull();
});

it('a size that was not said is taken as a middling one', () => {
  expect(whyNot(withPlant({ potCm: null, heightCm: null }), elsewhere)).toBeNull();
  expect(whyNot({ ...withSpot(elsewhere, { sizeM: 0.11 }), plants: [{ ...shade, potCm: null }, sun] }, elsewhere)).toBe(
    'too-wide',
  );
});

describe('wishes', () => {
  const standOf = (facts: HomeFacts, spotId: string) => {
    const { tierId } = facts.spots.find(({ id }) => id === spotId)!;
    return facts.tiers.find(({ id }) => id === tierId)!.standId;
  };

  it('keep one plant off a stand, and no other', () => {
    const standId = standOf(smallHome, elsewhere);
    const facts = { ...smallHome, wishes: [wish('keep-off', { plantId: shade.id, standId })] };
    expect(whyNot(facts, elsewhere)).toBe('kept-off');
    expect(whyNot({ ...facts, plants: [sun, shade] }, elsewhere)).not.toBe('kept-off');
  });

  it('keep a plant off even where it stands', () => {
    const standId = standOf(smallHome, shade.spotId!);
    const facts = { ...smallHome, wishes: [wish('keep-off', { plantId: shade.id, standId })] };
    expect(whyNot(facts, shade.spotId!)).toBe('kept-off');
  });

  it('leave a stand out: nobody comes, and whoever is there may stay', () => {
    const there = { ...smallHome, wishes: [wish('leave-out', { standId: standOf(smallHome, elsewhere) })] };
    expect(whyNot(there, elsewhere)).toBe('left-out');
    const here = { ...smallHome, wishes: [wish('leave-out', { standId: standOf(smallHome, shade.spotId!) })] };
    expect(whyNot(here, shade.spotId!)).toBeNull();
  });
});

describe('who lives there', () => {
  const table = (household: readonly HouseholdMember[], facts = smallHome) => {
    const spots = placedSpots(facts);
    const { why, alwaysInReach } = refusalTable(facts, spots, { household }, knowledge);
    const of = (plant: number) =>
      spots.flatMap(({ spot }, s) => (REFUSALS[why[plant * spots.length + s]!] === 'in-reach' ? [spot.id] : []));
    return { of, alwaysInReach };
  };
  it('nobody at home refuses nothing', () => {
    expect(table([]).alwaysInReach).toEqual([]);
    expect([...table([]).of(0), ...table([]).of(1)]).toEqual([]);
  });

  it('a dog keeps what could hurt it off the low boards, and nothing else', () => {
    const found = table(['dogs']);
    const low = placedSpots(smallHome).filter(({ tierHeightM, room }) => tierHeightM < 1 && !room.insideRoomId);
    expect(low.length).toBeGreaterThan(0);
    expect(low.length).toBeLessThan(smallHome.spots.length);
    expect(found.of(0)).toEqual([]);
    expect(found.of(1).sort()).toEqual(low.map(({ spot }) => spot.id).sort());
  });

  it('where every spot is in reach the plant is planned all the same, and told of', () => {
    const open = { ...smallHome, spots: smallHome.spots.filter(({ id }) => id !== 'boxed') };
    const found = table(['birds', 'dogs'], open);
    expect(found.alwaysInReach).toEqual([{ plantId: sun.id, who: ['birds', 'dogs'] }]);
    expect([...found.of(0), ...found.of(1)]).toEqual([]);
  });
});

describe('what a place and a plant do to each other', () => {
  const standId = placedSpots(smallHome).find(({ spot }) => spot.id === elsewhere)!.standId;
  const withStand = (facts: HomeFacts, fields: Partial<HomeFacts['stands'][number]>): HomeFacts => ({
    ...facts,
    stands: facts.stands.map((stand) => (stand.id === standId ? { ...stand, ...fields } : stand)),
  });

  it('a brittle plant does not go where people brush past; any other may', () => {
    const brittle = withStand(withPlant({ traits: ['brittle'] }), { traffic: 'busy' });
    expect(whyNot(brittle, elsewhere)).toBe('brushed-past');
    expect(whyNot(withStand(brittle, { traffic: 'quiet' }), elsewhere)).toBeNull();
    expect(whyNot(withStand(smallHome, { traffic: 'busy' }), elsewhere)).toBeNull();
  });

  it('a climber does not go before a wall that is to stay clean', () => {
    const climber = withStand(withPlant({ traits: ['mature-climbing'] }), { wall: 'keep-clean' });
    expect(whyNot(climber, elsewhere)).toBe('marks-wall');
    expect(whyNot(withStand(climber, { wall: 'any' }), elsewhere)).toBeNull();
    expect(whyNot(withStand(smallHome, { wall: 'keep-clean' }), elsewhere)).toBeNull();
  });

  it('what stands there already is not sent away for it', () => {
    const facts = withPlant({ traits: ['brittle', 'mature-climbing'], spotId: elsewhere });
    expect(whyNot(withStand(facts, { traffic: 'busy', wall: 'keep-clean' }), elsewhere)).toBeNull();
  });
});
