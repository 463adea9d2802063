import { changesBetween, drop, patch, put, type Change, type HomeFacts, type Plant, type Reading } from '@dulvan/core';
import { sailLoft } from '../demo/sail-loft';
import { HOME, NOW, keptStore, newKey, refusal, type Kept } from './kept.fixture';

let kept: Kept;
beforeEach(async () => {
  kept = await keptStore();
});
afterEach(() => kept.remove());

const facts = (): HomeFacts => kept.store.home(HOME).facts;
const plant = (id = 'p-moth'): Plant => facts().plants.find((candidate) => candidate.id === id)!;
const moved = (spotId: string | null) => patch('plants', 'p-moth', { spotId });

describe('a home that was taken out', () => {
  it('is listed with the entry that brings it back, over a restart as well, until it is back', async () => {
    expect(kept.store.takenOut()).toEqual([]);
    await kept.save([moved('sill-4')]);
    const { entry } = await kept.store.wipe(HOME);
    const store = await kept.restarted();
    expect(store.takenOut()).toEqual([{ name: sailLoft.home.name, entry }]);
    await store.undo(HOME, [entry!.id], newKey());
    expect(store.takenOut()).toEqual([]);
    expect(store.home(HOME).facts.plants).toHaveLength(sailLoft.plants.length);
  });
});

describe('undoing what later entries hang on', () => {
  const room = { ...sailLoft.rooms[0]!, id: 'net-store', name: 'Net store' };
  const window = { ...sailLoft.windows[0]!, id: 'net-window', roomId: room.id, name: 'Net window' };

  it('is refused by the name of what hangs on it, and goes through once that is out', async () => {
    const first = await kept.save([put('rooms', room)], 'Added the room Net store');
    const second = await kept.save([put('windows', window)], 'Added the window Net window');
    const entries = [first.entry!.id];
    const { refusal: told, status } = await refusal(() => kept.store.undo(HOME, entries, newKey()));
    expect(status).toBe(409);
    expect(told.message).toBe('Added later, and it hangs on this: Net window. Take that out first.');
    await kept.store.undo(HOME, [second.entry!.id, ...entries], newKey());
    expect(facts()).toEqual(sailLoft);
  });
});

describe('keeping a home', () => {
  it('gives back exactly the facts it was given, in their order, over a restart as well', async () => {
    expect(facts()).toEqual(sailLoft);
    expect((await kept.restarted()).home(HOME)).toEqual({ revision: 1, facts: sailLoft });
  });

  it('answers a change with what it did and nothing of the rest, and journals both states of the field', async () => {
    const saved = await kept.save([moved('sill-4')], 'Moved');
    expect(saved).toMatchObject({ revision: 2, changes: [moved('sill-4')] });
    expect(JSON.stringify(saved).length).toBeLessThan(600);
    expect(kept.store.journal(HOME, { plantId: 'p-moth', limit: 5 })[0]).toMatchObject({
      summary: 'Moved',
      at: NOW,
      revision: 2,
      touched: 1,
    });
    expect(kept.store.states(HOME, saved.entry!.id)).toEqual([
      { list: 'plants', id: 'p-moth', before: { spotId: 'bench-1b' }, after: { spotId: 'sill-4' } },
    ]);
  });

  it('leaves no trace of a change that changes nothing', async () => {
    const saved = await kept.save([moved(plant().spotId)]);
    expect(saved).toEqual({ revision: 1, entry: null, changes: [] });
    expect(kept.store.journal(HOME, { limit: 9 })).toHaveLength(1);
  });

  it('carries a request out once, however often it is sent', async () => {
    const set = { base: 1, key: newKey(), summary: 'Moved', changes: [moved('sill-4')] };
    const first = await kept.store.change(HOME, set);
    await kept.save([moved('cab-top-2')]);
    const again = await kept.store.change(HOME, set);
    expect(again.entry).toEqual(first.entry);
    expect(plant().spotId).toBe('cab-top-2');
  });

  it('stores nothing of a change of which one part cannot be', async () => {
    const changes = [patch('plants', 'p-moth', { name: 'Half-stored' }), patch('windows', 'gable', { widthM: 9 })];
    const { refusal: told } = await refusal(() => kept.save(changes));
    expect(told.problems[0]).toMatchObject({ list: 'windows', id: 'gable', field: 'widthM' });
    expect((await kept.restarted()).home(HOME)).toEqual({ revision: 1, facts: sailLoft });
  });

  it.each<[string, Change, number]>([
    ['a stand taken out from under its tiers', drop('stands', 'rack'), 422],
    ['a species the catalogue does not hold', patch('plants', 'p-moth', { taxonId: 'no-such-thing' }), 422],
    ['a pane nobody knows', patch('windows', sailLoft.windows[0]!.id, { glazingId: 'no-such-pane' }), 422],
    ['a climate nobody knows', patch('home', HOME, { climateId: 'no-such-climate' }), 422],
    ['a reading at a spot that never was', put('readings', readingAt('no-such-spot')), 422],
    ['a plant that arrives next year', patch('plants', 'p-moth', { arrivedOn: '2029-01-01' }), 422],
    ['a file that was never sent', put('weathers', weatherOf('f'.repeat(64))), 422],
    ['an entry of another home', put('plants', { ...sailLoft.plants[0]!, id: 'new', homeId: 'back-room' }), 422],
    ['a patch of what is not there', patch('plants', 'gone', { name: 'Gone' }), 409],
  ])('refuses %s', async (_what, change, status) => {
    expect((await refusal(() => kept.save([change]))).status).toBe(status);
    expect(kept.store.home(HOME)).toEqual({ revision: 1, facts: sailLoft });
  });

  it.each<[string, Change[]]>([
    [
      'put in without sense, then taken out',
      [put('plants', { ...sailLoft.plants[0]!, id: 'x', potCm: -5e9 }), drop('plants', 'x')],
    ],
    ['put in to be taken out', [put('plants', { ...sailLoft.plants[0]!, id: 'x' }), drop('plants', 'x')]],
    ['changed and taken out', [patch('plants', 'p-moth', { name: 'A' }), drop('plants', 'p-moth')]],
  ])('stores nothing of an entry %s in one set that would leave the home in contradiction', async (_what, changes) => {
    const outcome = await kept.save(changes).catch((error: unknown) => error);
    const { facts: now } = kept.store.home(HOME);
    expect(now.plants.some(({ id }) => id === 'x')).toBe(false);
    // Whatever was said to it, the home stays one that takes the next change.
    await kept.save([patch('plants', 'p-snake', { note: 'Still here' })]);
    expect(kept.store.home(HOME).facts.plants.find(({ id }) => id === 'p-snake')!.note).toBe('Still here');
    expect(outcome).toBeDefined();
  });

  it('swaps two months of air in one set', async () => {
    const [one, other] = facts().air.filter(({ roomId }) => roomId === facts().air[0]!.roomId);
    await kept.save([patch('air', one!.id, { month: other!.month }), patch('air', other!.id, { month: one!.month })]);
    const month = (id: string) => facts().air.find((air) => air.id === id)!.month;
    expect([month(one!.id), month(other!.id)]).toEqual([other!.month, one!.month]);
  });

  it('refuses two statements of the air for one month', async () => {
    const [one, other] = facts().air.filter(({ roomId }) => roomId === facts().air[0]!.roomId);
    const { status } = await refusal(() => kept.save([patch('air', one!.id, { month: other!.month })]));
    expect(status).toBe(422);
  });

  it('keeps writes that come at once in line', async () => {
    const { plants } = facts();
    await Promise.all(
      plants.map(({ id }) =>
        kept.store.change(HOME, {
          base: 1,
          key: newKey(),
          summary: 'Noted',
          changes: [patch('plants', id, { note: `seen ${id}` })],
        }),
      ),
    );
    expect(facts().plants.every(({ id, note }) => note === `seen ${id}`)).toBe(true);
    expect(kept.store.home(HOME).revision).toBe(plants.length + 1);
  });
});

function readingAt(spotId: string): Reading {
  const sky = { sky: 'overcast', outdoorValue: null, curtains: 'open', lamps: 'off' } as const;
  return { id: 'r-1', homeId: HOME, spotId, atMs: NOW, value: 900, unit: 'lux', ...sky, note: '', withdrawnOn: null };
}

function weatherOf(fileKey: string) {
  const place = { latitude: 56, longitude: -3, elevationM: 4, utcOffsetH: 0 };
  return { id: 'w-1', homeId: HOME, name: 'Station', years: '2019', fileKey, ...place };
}

describe('two devices on one home', () => {
  const change = (changes: Change[], base = 1) =>
    kept.store.change(HOME, { base, key: newKey(), summary: 'Changed', changes });

  it('both keep what they changed when the fields differ, and each is told of the other', async () => {
    await change([patch('plants', 'p-moth', { name: 'By one' })]);
    const second = await change([patch('plants', 'p-moth', { note: 'By the other' })]);
    expect(plant()).toMatchObject({ name: 'By one', note: 'By the other' });
    expect(second.changes).toEqual([patch('plants', 'p-moth', { name: 'By one', note: 'By the other' })]);
  });

  it('stops the later one at the same field, with both values, and stores nothing of it', async () => {
    await change([patch('plants', 'p-moth', { name: 'By one' })]);
    const late = [patch('plants', 'p-moth', { name: 'By the other' }), patch('plants', 'p-moth', { note: 'Lost?' })];
    const refused = await refusal(() => change(late));
    expect(refused.status).toBe(409);
    expect(refused.refusal.conflicts).toMatchObject([{ field: 'name', theirs: 'By one', mine: 'By the other' }]);
    expect(plant()).toMatchObject({ name: 'By one', note: sailLoft.plants.find(({ id }) => id === 'p-moth')!.note });
  });

  it('stops a change of what the other took out', async () => {
    await change([drop('plants', 'p-moth')]);
    expect((await refusal(() => change([moved('sill-4')]))).status).toBe(409);
  });

  it('refuses one that has seen more than is kept here', async () => {
    expect((await refusal(() => change([moved('sill-4')], 99))).refusal.message).toMatch(/older than what you saw/);
  });

  it('tells what was changed since a revision, and the whole home where that is shorter', async () => {
    await change([moved('sill-4')]);
    await change([drop('readings', facts().readings[0]!.id)], 2);
    expect(kept.store.changesSince(HOME, 1).changes).toHaveLength(2);
    expect(kept.store.changesSince(HOME, 3)).toEqual({ revision: 3, changes: [] });
    expect(kept.store.changesSince(HOME, 0).changes).toBeNull();
  });

  it('tells whoever listens, once it is stored', async () => {
    const heard: unknown[] = [];
    const stop = kept.store.onChange((event) => heard.push(event));
    await change([moved('sill-4')]);
    stop();
    await change([moved('cab-top-2')], 2);
    expect(heard).toEqual([{ homeId: HOME, revision: 2, isKept: true }]);
  });
});

describe('taking back', () => {
  it('restores the fields an entry changed and leaves later changes of others', async () => {
    const first = await kept.save([moved('sill-4')]);
    await kept.save([patch('plants', 'p-moth', { note: 'Later' })]);
    await kept.store.undo(HOME, [first.entry!.id], newKey());
    expect(plant()).toMatchObject({ spotId: 'bench-1b', note: 'Later' });
  });

  it('refuses what was changed since, and the same thing twice', async () => {
    const first = await kept.save([moved('sill-4')]);
    const second = await kept.save([moved('cab-top-2')]);
    const undo = (...entries: string[]) => kept.store.undo(HOME, entries, newKey());
    expect((await refusal(() => undo(first.entry!.id))).status).toBe(409);
    await undo(second.entry!.id);
    expect((await refusal(() => undo(second.entry!.id))).status).toBe(409);
    await undo(first.entry!.id);
    expect(plant().spotId).toBe('bench-1b');
  });

  it('takes several back together, or none of them', async () => {
    const [one, two, three] = [
      await kept.save([moved('sill-4')]),
      await kept.save([patch('plants', 'p-moth', { name: 'Renamed' })]),
      await kept.save([moved('cab-top-2')]),
    ].map(({ entry }) => entry!.id) as [string, string, string];
    const { revision } = kept.store.home(HOME);
    // The first cannot go while the third stands: the second stays as well.
    expect((await refusal(() => kept.store.undo(HOME, [two, one], newKey()))).status).toBe(409);
    expect(kept.store.home(HOME).revision).toBe(revision);
    expect(plant()).toMatchObject({ name: 'Renamed', spotId: 'cab-top-2' });
    await kept.store.undo(HOME, [three, two, one], newKey());
    expect(facts()).toEqual(sailLoft);
  });

  it('takes an undo back', async () => {
    const first = await kept.save([moved('sill-4')]);
    const undone = await kept.store.undo(HOME, [first.entry!.id], newKey());
    await kept.store.undo(HOME, [undone.entry!.id], newKey());
    expect(plant().spotId).toBe('sill-4');
  });

  it('takes a whole home out and brings it back', async () => {
    const { entry } = await kept.store.wipe(HOME);
    expect(kept.store.homes().map((home) => home.id)).toEqual(['back-room']);
    expect((await refusal(() => kept.store.home(HOME))).status).toBe(404);
    await kept.store.undo(HOME, [entry!.id], newKey());
    expect(facts()).toEqual(sailLoft);
  });
});

describe('the grower’s own knowledge', () => {
  const own = {
    id: 'own-1',
    homeId: HOME,
    name: 'Pane hoya',
    common: ['left one'],
    synonyms: [],
    basedOn: 'hoya-carnosa',
    key: 'Never turn it.',
  };
  const correction = {
    id: 'k1',
    homeId: HOME,
    taxonId: 'own-1',
    plantId: null,
    figure: 'light.thrivesFrom' as const,
    value: 5.5,
    reason: 'Buds at this',
    on: '2026-05-01',
  };
  const parents = [
    { taxonId: 'own-1', share: 0.25 },
    { taxonId: 'hoya-carnosa', share: 0.75 },
  ];

  it('is given back as it was given, and taken back in one', async () => {
    const hybrid = { parents, traits: ['variegated', 'mounted'], restSchool: 'hard' } satisfies Partial<Plant>;
    const changes = [put('ownTaxa', own), put('corrections', correction), patch('plants', 'p-moth', hybrid)];
    const { entry } = await kept.save(changes, 'Learnt');
    expect(facts().ownTaxa).toEqual([own]);
    expect(facts().corrections).toContainEqual(correction);
    expect(plant()).toMatchObject(hybrid);
    await kept.store.undo(HOME, [entry!.id], newKey());
    expect(facts()).toEqual(sailLoft);
  });

  it('is refused for a plant that is not there, and with parents that are no whole', async () => {
    const lost = put('corrections', { ...correction, taxonId: null, plantId: 'gone' });
    expect((await refusal(() => kept.save([lost]))).refusal.problems).toMatchObject([{ field: 'plantId' }]);
    const half = patch('plants', 'p-moth', { parents: [{ taxonId: 'hoya-carnosa', share: 0.5 }] });
    const short = await refusal(() => kept.save([put('ownTaxa', own), half]));
    expect(short.refusal.problems).toMatchObject([{ list: 'plants', field: 'parents' }]);
    expect(facts()).toEqual(sailLoft);
  });

  it('does not let a plant go and leave its correction behind', async () => {
    await kept.save([put('corrections', { ...correction, taxonId: null, plantId: 'p-moth' })]);
    expect((await refusal(() => kept.save([drop('plants', 'p-moth')]))).status).toBe(422);
    await kept.save([drop('corrections', 'k1'), drop('plants', 'p-moth')]);
    expect(facts().plants.some(({ id }) => id === 'p-moth')).toBe(false);
  });
});

describe('between two states', () => {
  it('the changes are patches of what differs, and lead there through the store', async () => {
    const [, , , third] = sailLoft.plants;
    const next = { ...sailLoft, plants: [{ ...third!, name: 'New name' }, ...sailLoft.plants.slice(4)] };
    await kept.save(changesBetween(sailLoft, next));
    expect(facts()).toEqual(next);
  });
});
