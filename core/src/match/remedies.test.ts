/** What could be set for a plant where it stands, before any of it is worked out. */
import type { HomeFacts, Plant } from '../facts';
import { fitYear, type Condition } from '../fit';
import { yearWith } from '../fit/conditions.fixture';
import { shade, smallHome } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import { lampNeeded } from './lamp-needed';
import type { Remedy } from './mend';
import { troublesFor } from './need';
import { remediesFor } from './remedies';

const plant: Plant = { ...smallHome.plants[0]!, heightCm: 15 };
const targets = yearTargets(plant, shade, { latitude: 50, school: null, aim: 'whole' });

function remedies(given: (month: number) => Partial<Condition>, facts: HomeFacts = smallHome, spotId = 'dim') {
  const year = yearWith(given);
  const fit = fitYear(targets, year, 11);
  const spot = facts.spots.find(({ id }) => id === spotId)!;
  return remediesFor({ facts, plant, spot, targets, year, fit, troubles: troublesFor('grow', fit) });
}
const only = <K extends Remedy['kind']>(list: readonly Remedy[], kind: K) =>
  list.filter((remedy): remedy is Extract<Remedy, { kind: K }> => remedy.kind === kind);

const lampLit = (dli: number) => ({
  dli,
  dliPoorYear: dli,
  shares: { sun: 0, sky: 0, ground: 0, obstruction: 0, reflected: 0, roomLight: 0, lamps: { l: dli } },
});
const burning = {
  clearDay: Array.from({ length: 24 }, (_, hour) => (hour >= 10 && hour < 15 ? 900 : 0)),
  peakPpfd: 900,
};

it('where it is dim a lamp burns longer, to sixteen hours at most, and hangs lower, but not into the leaves', () => {
  const list = remedies(() => lampLit(1.5));
  const hours = only(list, 'lamp-hours').map(({ onMinute, offMinute }) => (offMinute - onMinute) / 60);
  expect(hours).toEqual([10, 12]);
  const late = { ...smallHome, circuits: [{ ...smallHome.circuits[0]!, onMinute: 300, offMinute: 1200 }] };
  expect(
    only(
      remedies(() => lampLit(1.5), late),
      'lamp-hours',
    ),
  ).toEqual([]);
  const short = { ...smallHome, plants: [plant] };
  expect(
    only(
      remedies(() => lampLit(1.5), short),
      'hang',
    ).map(({ aboveM }) => aboveM),
  ).toEqual([0.4, 0.3]);
  const tall = { ...smallHome, plants: [{ ...plant, heightCm: 35 }] };
  expect(
    only(
      remedies(() => lampLit(1.5), tall),
      'hang',
    ),
  ).toEqual([]);
});

it('where it burns under a lamp it is dimmed in steps, and none is dimmed that gives the spot nothing', () => {
  const list = remedies(() => ({ ...lampLit(5), ...burning }));
  expect(only(list, 'dim').map(({ dimming }) => dimming)).toEqual([0.75, 0.5, 0.3]);
  expect(
    only(
      remedies(() => burning),
      'dim',
    ),
  ).toEqual([]);
});

it('a curtain is hung in the burning months of summer and its hours alone, a net before a sheer', () => {
  const list = only(
    remedies((month) => (month === 3 || month === 6 ? burning : {}), smallHome, 'bright'),
    'curtain',
  );
  expect(list.map(({ curtainId }) => curtainId)).toEqual(['net', 'sheer']);
  expect(list[0]).toMatchObject({ windowId: 'w', months: [6], fromMinute: 600, toMinute: 900 });
  expect(
    only(
      remedies((month) => (month === 12 ? burning : {}), smallHome, 'bright'),
      'curtain',
    ),
  ).toEqual([]);
});

it('a spot is shifted toward the window for more light, within its board', () => {
  const deep = { ...smallHome, stands: smallHome.stands.map((stand) => ({ ...stand, depthM: 0.8 })) };
  const [shift] = only(
    remedies(() => ({ dli: 0.5, dliPoorYear: 0.4 }), deep),
    'shift',
  );
  const spot = deep.spots.find(({ id }) => id === 'dim')!;
  expect(shift).toMatchObject({ way: 'toward-window' });
  expect(shift!.alongM).toBeGreaterThan(spot.alongM);
  expect(shift!.alongM).toBeLessThanOrEqual(1 - spot.sizeM / 2);
});

it('where nothing helps, a lamp is told that gives what the dimmest month lacks', () => {
  const year = yearWith((month) => ({ dli: month === 12 ? 0.5 : 1, dliPoorYear: 0.4 }));
  const lamp = lampNeeded(targets, year, fitYear(targets, year, 11))!;
  expect(lamp.dli).toBeCloseTo(shade.light.thrivesFrom - 0.5, 9);
  expect(lamp.ppfd * lamp.hours * 0.0036).toBeCloseTo(lamp.dli, 9);
  expect(lampNeeded(targets, yearWith(), fitYear(targets, yearWith(), 11))).toBeNull();
});

it('what lives on its reserve is kept cooler in the dark half of the year', () => {
  const [air] = only(
    remedies(() => ({ dli: 0.5, dliPoorYear: 0.4 })),
    'air',
  );
  expect(air).toMatchObject({ what: 'cooler', months: [11, 12, 1, 2, 3] });
});
