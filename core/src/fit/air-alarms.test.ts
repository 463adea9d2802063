/** Whom measured air harms now, how long each can wait, and what is no alarm. */
import { shade } from '../home/small-home.fixture';
import { yearTargets } from '../plant';
import type { Taxon } from '../taxon';
import { HOUR_MS } from '../units';
import { airAlarms, type AlarmKind } from './air-alarms';

const ways = { latitude: 50, school: null, aim: 'whole' } as const;
const target = (taxon: Taxon = shade) => yearTargets({ stage: 'adult', growthState: 'by-season' }, taxon, ways)[5]!;
const plant = (plantId: string, taxon?: Taxon) => ({ plantId, target: target(taxon) });
const NOW = Date.UTC(2026, 10, 3, 12);
/** So many hours up to now, one value each. */
const hours = (values: readonly number[], until = NOW) =>
  values.map((mean, i) => ({ at: until - (values.length - i) * HOUR_MS, mean }));
const steady = (value: number, count: number) => hours(Array<number>(count).fill(value));
const right = { celsius: steady(20, 60), rh: steady(60, 60) };
const kinds = (measured: Partial<typeof right>, plants = [plant('p')]): AlarmKind[] =>
  airAlarms(plants, { ...right, ...measured }, NOW).map(({ kind }) => kind);

// The shade plant survives 10 to 34 °C and 30 %, and is too moist in still air from 90 %.
it('is silent while all is right', () => {
  expect(kinds({})).toEqual([]);
});

it.each([
  ['cold', { celsius: steady(9, 3) }, { celsius: steady(9, 2) }],
  ['heat', { celsius: steady(35, 2) }, { celsius: steady(35, 1) }],
  ['dry', { rh: steady(25, 48) }, { rh: steady(25, 47) }],
  ['damp', { rh: steady(95, 24) }, { rh: steady(95, 23) }],
] as const)('calls for %s once a plant can wait no longer', (kind, long, short) => {
  expect(kinds(long)).toEqual([kind]);
  expect(kinds(short)).toEqual([]);
});

it('waits less far beyond what a plant survives, and for a tender one in dry air', () => {
  expect(kinds({ celsius: steady(7, 1) })).toEqual(['cold']);
  const tender: Taxon = { ...shade, moisture: { ...shade.moisture, survives: 55, thrivesFrom: 65 } };
  expect(kinds({ rh: steady(50, 12) }, [plant('p', tender)])).toEqual(['dry']);
});

it('is over once a value is right again, and says nothing by old samples', () => {
  expect(kinds({ celsius: hours([8, 8, 8, 8, 12]) })).toEqual([]);
  expect(kinds({ celsius: hours([8, 8, 8, 8], NOW - 6 * HOUR_MS) })).toEqual([]);
});

it('names all plants that can wait no longer, and tells of the one that tolerates least', () => {
  const hardy: Taxon = { ...shade, warmth: { ...shade.warmth, lowest: 5 } };
  const tender: Taxon = { ...shade, warmth: { ...shade.warmth, lowest: 12 } };
  const [alarm] = airAlarms(
    [plant('hardy', hardy), plant('usual'), plant('tender', tender)],
    { ...right, celsius: hours([11, 9, 8, 9]) },
    NOW,
  );
  expect(alarm).toMatchObject({ kind: 'cold', plantIds: ['tender', 'usual'], limit: 12, worst: 8, hours: 4 });
});
