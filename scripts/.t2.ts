import { HomeEngine, ask } from '../core/src/index';
import { smallHome, smallKnowledge } from '../core/src/home/small-home.fixture';
const [shadePlant, sunPlant] = smallHome.plants as any;
const home: any = {
  ...smallHome,
  plants: [
    { ...sunPlant, spotId: 'dim', heightCm: 15 },
    { ...sunPlant, id: 's2', taxonId: 'shade', spotId: 'bright', heightCm: 15 },
  ],
  lamps: [],
  windows: smallHome.windows.map((w) => ({
    ...w,
    curtains: [{ curtainId: 'sheer', months: [4, 5, 6, 7, 8, 9], fromMinute: 0, toMinute: 1440 }],
  })),
  spots: smallHome.spots.filter(({ id }) => id === 'dim' || id === 'bright'),
};
const e = new HomeEngine(smallKnowledge);
const a = ask(e, home, 'home', { year: 2026, month: 11 });
for (const p of a.plants) console.log(p.plantId, JSON.stringify(p.fit!.verdict));
console.log(JSON.stringify(ask(e, home, 'mends', { year: 2026, month: 11 }), null, 1));
for (const id of ['p', 'q']);
