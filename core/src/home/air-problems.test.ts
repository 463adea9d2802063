/** What cannot be true of a home's air: told beside the field to mend. */
import type { HomeFacts } from '../facts';
import { climateWith, thingWith } from './air-things.fixture';
import { problemsOf } from './problems';
import { smallHome } from './small-home.fixture';

const climate = climateWith({ id: 'c' });
const thing = thingWith({ kind: 'humidifier', gramsH: 100, setRh: 50 });
const doorway = { id: 'd', roomId: 'r', toRoomId: 's', widthM: 1, heightM: 2, stands: 'open' } as const;
const rooms = [...smallHome.rooms, { ...smallHome.rooms[0]!, id: 's' }];
const found = (given: Partial<HomeFacts>) =>
  problemsOf({ ...smallHome, rooms, ...given }).map(({ list, field }) => `${list}.${field}`);

it('is nothing in what can be', () => {
  expect(found({ climates: [climate], airThings: [thing], doorways: [doorway] })).toEqual([]);
});

it.each([
  ['two heatings of one room', { climates: [climate, { ...climate, id: 'c2' }] }, 'climates.heating'],
  ['a day without length', { climates: [{ ...climate, dayToMinute: climate.dayFromMinute }] }, 'climates.dayToMinute'],
  ['a thing outside its room', { airThings: [{ ...thing, xM: 9 }] }, 'airThings.xM'],
  ['a humidifier that gives nothing', { airThings: [{ ...thing, gramsH: 0 }] }, 'airThings.gramsH'],
  ['a mat without area', { airThings: [{ ...thing, kind: 'heat-mat' as const }] }, 'airThings.areaM2'],
  ['an extractor that moves nothing', { airThings: [{ ...thing, kind: 'extractor' as const }] }, 'airThings.airM3H'],
  ['a thing that stops as it starts', { airThings: [{ ...thing, toMinute: 0 }] }, 'airThings.toMinute'],
  [
    'a humidifier against a dehumidifier',
    { airThings: [thing, { ...thing, id: 't2', kind: 'dehumidifier' as const, setRh: 45 }] },
    'airThings.setRh',
  ],
  ['a doorway to its own room', { doorways: [{ ...doorway, toRoomId: 'r' }] }, 'doorways.toRoomId'],
  ['a doorway to a cabinet', { doorways: [{ ...doorway, toRoomId: 'box' }] }, 'doorways.toRoomId'],
  ['a doorway higher than its room', { doorways: [{ ...doorway, heightM: 3 }] }, 'doorways.heightM'],
])('is %s', (_what, given, field) => {
  expect(found(given)).toContain(field);
});
