/** Questions put to the engine: in steps that can be dropped, remembered in homes of every size, packed for the wire. */
import { HomeEngine, finish } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import type { HomeFacts } from '../facts';
import { answerSteps, ask, packed, unpacked } from './index';

const YEAR = 2026;

/** The small home's first room so many times, each with its own window and sill. */
function manyRooms(count: number): HomeFacts {
  const [room] = smallHome.rooms;
  const range = Array.from({ length: count }, (_, i) => i);
  const sill = smallHome.stands.find(({ id }) => id === 'sill')!;
  const tier = smallHome.tiers.find(({ id }) => id === 'sill-1')!;
  const spot = smallHome.spots.find(({ id }) => id === 'bright')!;
  return {
    ...smallHome,
    rooms: range.map((i) => ({ ...room!, id: `r${i}`, widthM: 3.2 + i * 0.01 })),
    windows: range.map((i) => ({ ...smallHome.windows[0]!, id: `w${i}`, roomId: `r${i}`, widthM: 1 })),
    stands: range.map((i) => ({ ...sill, id: `s${i}`, roomId: `r${i}` })),
    tiers: range.map((i) => ({ ...tier, id: `t${i}`, standId: `s${i}` })),
    spots: range.map((i) => ({ ...spot, id: `p${i}`, tierId: `t${i}` })),
    lamps: [],
    plants: [],
    air: [],
  };
}

describe('what is remembered', () => {
  it('serves the unchanged second answer whole, in a home of more rooms than were ever kept', () => {
    const engine = new HomeEngine(smallKnowledge);
    const home = manyRooms(18);
    const first = ask(engine, home, 'home', { year: YEAR, month: 11 });
    // The same facts under another identity: nothing but what is remembered by content can be found again.
    const second = ask(engine, structuredClone(home), 'home', { year: YEAR, month: 11 });
    expect(second.spots).toHaveLength(18);
    second.spots.forEach((answer, i) => expect(answer).toBe(first.spots[i]));
  });

  it('tells two lamp files of the same length apart', () => {
    const spread = (half: number) => ({ planes: [0], angles: [0, 45, 90], candela: [1000, half, 0] });
    const files = { narrow: spread(10), wide: spread(900) };
    const engine = new HomeEngine(smallKnowledge, {
      weatherHours: () => [],
      intensities: (key) => files[key as keyof typeof files],
    });
    const lit = (fileKey: string): HomeFacts => ({
      ...smallHome,
      photometries: [
        { id: 'f', homeId: 'h', name: 'F', lumens: 900, powerW: 9, lengthM: 0.3, breadthM: 0.05, fileKey },
      ],
      lamps: smallHome.lamps.map((lamp) => ({ ...lamp, photometryId: 'f' })),
    });
    const dli = (fileKey: string) =>
      ask(engine, lit(fileKey), 'home', { year: YEAR, month: 11 }).spots.find(({ spotId }) => spotId === 'dim')!
        .conditions[0]!.dli;
    const wide = dli('wide');
    expect(dli('narrow')).toBeGreaterThan(wide * 1.2);
    expect(dli('wide')).toBe(wide);
  });

  it('holds readings against the model once, however often it is asked', () => {
    const engine = new HomeEngine(smallKnowledge);
    const reading = {
      id: 'm',
      homeId: 'h',
      spotId: 'bright',
      atMs: Date.UTC(2026, 5, 21, 11),
      value: 100,
      unit: 'ppfd' as const,
      sky: 'clear' as const,
      outdoorValue: null,
      curtains: 'open' as const,
      lamps: 'off' as const,
      note: '',
      withdrawnOn: null,
    };
    const home = { ...smallHome, readings: [reading] };
    const first = ask(engine, home, 'home', { year: YEAR, month: 11 }).readings;
    const renamed = { ...home, home: home.home, plants: home.plants.map((plant) => ({ ...plant })) };
    expect(ask(engine, home, 'home', { year: YEAR, month: 11 }).readings).toBe(first);
    expect(ask(engine, renamed, 'home', { year: YEAR, month: 11 }).readings).toEqual(first);
  });
});

describe('an answer in steps', () => {
  it('tells how far it has come, never backward, and can be left between two', () => {
    const engine = new HomeEngine(smallKnowledge);
    const steps = answerSteps(engine, smallHome, 'lightYear', { spotId: 'dim', year: YEAR });
    const shares = Array.from({ length: 5 }, () => steps.next().value as number);
    expect([...shares].sort((p, q) => p - q)).toEqual(shares);
    expect(shares[4]).toBeLessThan(0.05);
    expect(steps.return(undefined as never).done).toBe(true);
  });

  it('comes to the same as one at once', () => {
    const at = (engine: HomeEngine) => ask(engine, smallHome, 'home', { year: YEAR, month: 11 });
    const stepped = finish(answerSteps(new HomeEngine(smallKnowledge), smallHome, 'home', { year: YEAR, month: 11 }));
    expect(stepped).toEqual(at(new HomeEngine(smallKnowledge)));
  });

  it.each([
    ['sunlightMap', { roomId: 'gone', year: YEAR }],
    ['lightYear', { spotId: 'gone', year: YEAR }],
    ['losses', { spotId: 'gone', year: YEAR }],
    ['tierField', { tierId: 'gone', year: YEAR }],
  ] as const)('of %s is nothing, without failing, for what is not there', (question, params) => {
    expect(ask(new HomeEngine(smallKnowledge), smallHome, question, params as never)).toBeNull();
  });
});

describe('answers on the wire', () => {
  it('come out as they went in, rows of numbers with the type they had', () => {
    const answer = {
      dli: Float32Array.from([1.5, -2, 0]),
      hours: Float64Array.from([Math.PI]),
      source: Uint8Array.from([0, 1, 255]),
      nested: [{ name: 'Sill', none: null, empty: new Float32Array(0) }],
    };
    expect(unpacked(JSON.parse(JSON.stringify(packed(answer))))).toEqual(answer);
  });

  it('hold the figures of a whole home to the last digit', () => {
    const answers = ask(new HomeEngine(smallKnowledge), smallHome, 'home', { year: YEAR, month: 11 });
    expect(unpacked(JSON.parse(JSON.stringify(packed(answers))))).toEqual(answers);
  });
});
