/** What a logger may be and may send, at the edge. */
import { MOST_SAMPLES_A_POST, newDeviceSchema, postedSamplesSchema, upgradedFacts, homeFactsSchema } from './index';
import { smallHome } from '../../core/src/home/small-home.fixture';

const AT = Date.UTC(2026, 8, 1);
const messages = (given: { success: boolean; error?: { issues: { message: string }[] } }) =>
  given.success ? [] : given.error!.issues.map(({ message }) => message);

describe('a logger', () => {
  it('hangs in a room or at a spot, not in both and not nowhere', () => {
    const place = (roomId: string | null, spotId: string | null) =>
      messages(newDeviceSchema.safeParse({ name: 'Shelf', roomId, spotId }));
    expect(place('r', null)).toEqual([]);
    expect(place(null, 's')).toEqual([]);
    for (const wrong of [place(null, null), place('r', 's')]) expect(wrong[0]).toContain('in a room, or at a spot');
    expect(messages(newDeviceSchema.safeParse({ name: ' ', roomId: 'r', spotId: null }))).toEqual(['Give it a name.']);
  });

  it.each([
    ['warmth beyond what can be', { temperature: 91 }, 'From -60 to 90 °C.'],
    ['humidity beyond what can be', { humidity: 101 }, 'From 0 to 100 %.'],
    ['light below none', { ppfd: -1 }, 'From 0 to 5000 µmol/m²s.'],
    ['nothing at all', {}, 'A sample holds a value.'],
  ])('may not send %s', (_what, values, message) => {
    const read = postedSamplesSchema.safeParse({ samples: [{ at: AT, ...values }] });
    expect(messages(read).join()).toContain(message);
  });

  it('may send one quantity of several, and so many samples at once', () => {
    const samples = (count: number) => Array.from({ length: count }, (_, i) => ({ at: AT + i, humidity: 50 }));
    expect(postedSamplesSchema.safeParse({ samples: samples(MOST_SAMPLES_A_POST) }).success).toBe(true);
    expect(messages(postedSamplesSchema.safeParse({ samples: samples(MOST_SAMPLES_A_POST + 1) }))[0]).toContain(
      'At most',
    );
    expect(messages(postedSamplesSchema.safeParse({ samples: [] }))).toHaveLength(1);
    expect(messages(postedSamplesSchema.safeParse({ battery: 120, samples: samples(1) }))).toEqual([
      'From 0 to 100 %.',
    ]);
  });
});

it('a home written before its air was computed is read with nothing said of it', () => {
  const { climates: _c, airThings: _a, doorways: _d, learntAir: _l, spotAir: _s, ...earlier } = smallHome;
  const read = homeFactsSchema.parse(upgradedFacts(earlier));
  expect([read.climates, read.airThings, read.doorways, read.learntAir, read.spotAir]).toEqual([[], [], [], [], []]);
  expect(read.rooms).toEqual(smallHome.rooms);
});
