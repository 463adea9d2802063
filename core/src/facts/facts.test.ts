/** What belongs to what, what a change does, and what it takes to take it back. */
import fc from 'fast-check';
import { smallHome } from '../home/small-home.fixture';
import {
  FACT_LISTS,
  KINDS,
  applied,
  changesBetween,
  composed,
  conflictsOf,
  danglingIn,
  dependentsOf,
  drop,
  effectOf,
  entryOf,
  fallenWith,
  linksOf,
  patch,
  put,
  reversalOf,
  type Change,
  type HomeFacts,
} from './index';

const names = ({ gone }: ReturnType<typeof fallenWith>) => gone.map(({ list, id }) => `${list}/${id}`).sort();
const plantOf = (facts: HomeFacts | null, id: string) => facts!.plants.find((plant) => plant.id === id)!;

describe('the table of kinds', () => {
  it('lists what is pointed at before what points at it, itself aside', () => {
    for (const list of FACT_LISTS) {
      for (const { to } of linksOf(list)) {
        if (to !== list) expect(FACT_LISTS.indexOf(to)).toBeLessThan(FACT_LISTS.indexOf(list));
      }
    }
  });

  it('names only fields that facts have', () => {
    const samples: Partial<Record<string, object>> = Object.fromEntries(
      FACT_LISTS.map((list) => [list, smallHome[list][0]]),
    );
    for (const list of FACT_LISTS) {
      const sample = samples[list];
      if (sample) for (const { field } of linksOf(list)) expect(Object.keys(sample)).toContain(field);
    }
  });

  it('gives every kind a limit', () => {
    for (const list of FACT_LISTS) expect(KINDS[list].limit).toBeGreaterThan(0);
  });
});

describe('what falls with a fact', () => {
  it('a room takes its windows, stands, tiers, spots, lamps and the cabinet in it along, but no plant', () => {
    const fallen = fallenWith(smallHome, [{ list: 'rooms', id: 'r' }]);
    expect(names(fallen)).toEqual(
      [
        'rooms/r',
        'rooms/box',
        ...smallHome.windows.map(({ id }) => `windows/${id}`),
        ...smallHome.stands.map(({ id }) => `stands/${id}`),
        ...smallHome.tiers.map(({ id }) => `tiers/${id}`),
        ...smallHome.spots.map(({ id }) => `spots/${id}`),
        ...smallHome.lamps.map(({ id }) => `lamps/${id}`),
        ...smallHome.air.map(({ id }) => `air/${id}`),
      ].sort(),
    );
    expect(fallen.cleared).toEqual(
      smallHome.plants.filter((plant) => plant.spotId).map(({ id }) => ({ list: 'plants', id, field: 'spotId' })),
    );
  });

  it('a timer takes its lamps along; a photometric file is let go of by the lamps that use it', () => {
    expect(names(fallenWith(smallHome, [{ list: 'circuits', id: 'c' }]))).toEqual(['circuits/c', 'lamps/l']);
    const measured = { ...smallHome, lamps: smallHome.lamps.map((lamp) => ({ ...lamp, photometryId: 'f' })) };
    expect(fallenWith(measured, [{ list: 'photometries', id: 'f' }])).toEqual({
      gone: [{ list: 'photometries', id: 'f' }],
      cleared: [{ list: 'lamps', id: 'l', field: 'photometryId' }],
    });
  });

  it('leaves nothing dangling, whatever is taken out', () => {
    const keys = FACT_LISTS.flatMap((list) => smallHome[list].map(({ id }) => ({ list, id })));
    for (const key of keys) {
      const { gone, cleared } = fallenWith(smallHome, [key]);
      const after = applied(smallHome, [
        ...cleared.map(({ list, id, field }) => patch(list, id, { [field]: null })),
        ...gone.map(({ list, id }) => drop(list, id)),
      ]);
      expect(danglingIn(after!)).toEqual([]);
    }
  });
});

describe('what a change can contradict', () => {
  it('is the fact itself and all that hangs on it', () => {
    const reached = dependentsOf(smallHome, [{ list: 'stands', id: 'shelf' }]);
    expect([...reached.get('tiers')!].sort()).toEqual(['shelf-1', 'shelf-2']);
    expect([...reached.get('spots')!].sort()).toEqual(['dim', 'top']);
    expect([...reached.get('windows')!]).toEqual([]);
  });

  it('is told beside the field of a link that leads nowhere', () => {
    const astray = { ...smallHome, tiers: smallHome.tiers.map((tier) => ({ ...tier, standId: 'gone' })) };
    expect(danglingIn(astray).map(({ list, field }) => `${list}.${field}`)).toEqual(Array(4).fill('tiers.standId'));
  });

  it('is nothing for a reading whose spot has been taken out', () => {
    const reading = {
      id: 'm',
      homeId: 'h',
      spotId: 'gone',
      atMs: 1,
      value: 1,
      unit: 'lux' as const,
      sky: 'clear' as const,
      outdoorValue: null,
      curtains: 'open' as const,
      lamps: 'off' as const,
      note: '',
      withdrawnOn: null,
    };
    expect(danglingIn({ ...smallHome, readings: [reading] })).toEqual([]);
  });
});

describe('changes', () => {
  it('leave lists they do not touch the very same, and the facts before as they were', () => {
    const before = structuredClone(smallHome);
    const after = applied(smallHome, [patch('plants', 'p', { potCm: 30 })])!;
    expect(plantOf(after, 'p').potCm).toBe(30);
    for (const list of FACT_LISTS) if (list !== 'plants') expect(after[list]).toBe(smallHome[list]);
    expect(after.plants.filter(({ id }) => id !== 'p')).toEqual(smallHome.plants.filter(({ id }) => id !== 'p'));
    expect(smallHome).toEqual(before);
  });

  it('found a home from nothing, and end one', () => {
    const founded = applied(null, changesBetween(null, smallHome))!;
    expect(founded).toEqual(smallHome);
    expect(applied(smallHome, changesBetween(smallHome, null))).toBeNull();
    expect(applied(null, [])).toBeNull();
  });

  it('of what is not there change nothing', () => {
    expect(applied(smallHome, [patch('plants', 'gone', { potCm: 3 }), drop('rooms', 'gone')])).toEqual(smallHome);
  });

  const anyChange: fc.Arbitrary<Change> = fc.oneof(
    fc
      .tuple(fc.constantFrom('p', 'q'), fc.integer({ min: 1, max: 90 }))
      .map(([id, potCm]) => patch('plants', id, { potCm })),
    fc.tuple(fc.constantFrom('p', 'q'), fc.string()).map(([id, note]) => patch('plants', id, { note })),
    fc.constantFrom('p', 'q', 'new').map((id) => drop('plants', id)),
    fc.constantFrom('p', 'q', 'new').map((id) => put('plants', { ...smallHome.plants[0]!, id, note: 'put' })),
    fc.integer({ min: 1, max: 20 }).map((widthM) => patch('rooms', 'r', { widthM })),
    fc.string().map((name) => patch('home', 'h', { name })),
  );

  it('one after the other do what they do composed', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 8 }), fc.array(anyChange, { maxLength: 8 }), (first, second) => {
        const inTurn = applied(applied(smallHome, first), second)!;
        const atOnce = applied(smallHome, composed(first, second))!;
        const sorted = (facts: HomeFacts) => ({
          ...facts,
          plants: [...facts.plants].sort((a, b) => (a.id < b.id ? -1 : 1)),
        });
        expect(sorted(atOnce)).toEqual(sorted(inTurn));
      }),
    );
  });

  it('between two states lead from one to the other', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 8 }), (changes) => {
        const after = applied(smallHome, changes)!;
        expect(applied(smallHome, changesBetween(smallHome, after))).toEqual(after);
        expect(changesBetween(after, after)).toEqual([]);
      }),
    );
  });

  it('taken back give the home as it was', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 8 }), (changes) => {
        const after = applied(smallHome, changes);
        const { changes: back, conflicts } = reversalOf(after, effectOf(smallHome, after, changes));
        expect(conflicts).toEqual([]);
        const restored = applied(after, back)!;
        for (const { id } of smallHome.plants)
          expect(entryOf(restored, 'plants', id)).toEqual(entryOf(smallHome, 'plants', id));
        expect(restored.plants).toHaveLength(smallHome.plants.length);
        expect(restored.rooms).toEqual(smallHome.rooms);
        expect(restored.home).toEqual(smallHome.home);
      }),
    );
  });

  it('put in and dropped in one go leave no trace', () => {
    const changes = [put('plants', { ...smallHome.plants[0]!, id: 'brief' }), drop('plants', 'brief')];
    expect(effectOf(smallHome, applied(smallHome, changes), changes)).toEqual([]);
  });

  it('of the same value have no effect', () => {
    const changes = [patch('plants', 'p', { potCm: plantOf(smallHome, 'p').potCm })];
    expect(effectOf(smallHome, applied(smallHome, changes), changes)).toEqual([]);
  });
});

describe('two who change one home', () => {
  const elsewhere = [patch('plants', 'p', { potCm: 22 })];
  const now = applied(smallHome, elsewhere)!;
  const since = effectOf(smallHome, now, elsewhere);

  it('do not meet where they change other fields', () => {
    expect(conflictsOf(now, [patch('plants', 'p', { heightCm: 50 })], since)).toEqual([]);
    expect(conflictsOf(now, [patch('plants', 'q', { potCm: 9 })], since)).toEqual([]);
  });

  it('agree where they want the same', () => {
    expect(conflictsOf(now, [patch('plants', 'p', { potCm: 22 })], since)).toEqual([]);
  });

  it('meet at a field, with both values and the plant’s name', () => {
    const [conflict] = conflictsOf(now, [patch('plants', 'p', { potCm: 9 })], since);
    expect(conflict).toMatchObject({ list: 'plants', id: 'p', field: 'potCm', theirs: 22, mine: 9 });
    expect(conflict!.message).toContain(plantOf(smallHome, 'p').name);
  });

  it('meet where one has taken out what the other changes, or changes what the other takes out', () => {
    const out = [drop('plants', 'p')];
    const without = applied(smallHome, out)!;
    const gone = effectOf(smallHome, without, out);
    expect(conflictsOf(without, [patch('plants', 'p', { potCm: 9 })], gone)[0]!.message).toContain(
      'taken out elsewhere',
    );
    expect(conflictsOf(without, [drop('plants', 'p')], gone)).toEqual([]);
    expect(conflictsOf(now, [drop('plants', 'p')], since)[0]!.message).toContain('Look at it before');
  });
});

describe('taking back', () => {
  const done = [patch('plants', 'p', { potCm: 22, heightCm: 44 })];
  const left = applied(smallHome, done)!;
  const effect = effectOf(smallHome, left, done);

  it('goes by field: what has changed since in another field stays', () => {
    const later = applied(left, [patch('plants', 'p', { note: 'A new leaf' })])!;
    const { changes, conflicts } = reversalOf(later, effect);
    expect(conflicts).toEqual([]);
    expect(plantOf(applied(later, changes), 'p')).toEqual({ ...plantOf(smallHome, 'p'), note: 'A new leaf' });
  });

  it('is refused where the same field has changed since, with the field', () => {
    const later = applied(left, [patch('plants', 'p', { potCm: 30 })])!;
    const { conflicts } = reversalOf(later, effect);
    expect(conflicts.map(({ field }) => field)).toEqual(['potCm']);
  });

  it('of an entry that was added is refused once it has been changed', () => {
    const added = [put('plants', { ...smallHome.plants[0]!, id: 'new' })];
    const withNew = applied(smallHome, added)!;
    const changed = applied(withNew, [patch('plants', 'new', { potCm: 40 })])!;
    expect(reversalOf(changed, effectOf(smallHome, withNew, added)).conflicts).toHaveLength(1);
  });
});
