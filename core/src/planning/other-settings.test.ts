/** Curtains and humidifiers by a plan: the ways that are tried, those that pay, and what they promise. */
import loadHighs from 'highs';
import { applied, put, type HomeFacts, type HungCurtain } from '../facts';
import { thingWith } from '../home/air-things.fixture';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from '../questions';
import { ALL_MONTHS } from '../units';
import { carriedOut } from './carried-out.fixture';
import { curtainMenu, curtainMenus, curtainsOf, type CurtainMenu } from './curtain-menu';
import { humidities, humiditiesThatPay, type Humidity } from './other-settings';
import type { FoundPlan } from './proposal';
import { planSettingsOf } from './settings';

const MAY = { curtains: 'may-change', humidifiers: 'may-change' } as const;
const drawnAllYear: HungCurtain = { curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 420, toMinute: 1200 };
const [window] = smallHome.windows;
const curtained = (curtains: readonly HungCurtain[]): HomeFacts => ({
  ...smallHome,
  windows: smallHome.windows.map((one) => ({ ...one, curtains: one === window ? curtains : [] })),
});
const moistened = (setRh: number | null): HomeFacts => ({
  ...curtained([]),
  airThings: [thingWith({ kind: 'humidifier', gramsH: 300, setRh })],
});

describe('the menu of a curtain', () => {
  const [menu] = curtainMenus(curtained([drawnAllYear]), MAY);
  const bright = [4, 5, 6, 7, 8, 9];
  const drawn = (one: CurtainMenu) => one.years.map((year) => curtainsOf(one, year));

  it('has it as now, open, drawn in the bright half of the year, or then about noon alone', () => {
    expect(drawn(menu!)).toEqual([
      [drawnAllYear],
      [],
      [{ ...drawnAllYear, months: bright }],
      [{ ...drawnAllYear, months: bright, fromMinute: 660, toMinute: 960 }],
    ]);
  });

  it('is of the other half of the year in the south', () => {
    expect(drawn(curtainMenu(menu!.window, -34.6))[2]![0]!.months).toEqual([1, 2, 3, 10, 11, 12]);
  });

  it('leaves what is drawn over midnight as it is, and draws neither of two about noon', () => {
    const night = { ...drawnAllYear, curtainId: 'blackout', fromMinute: 1200, toMinute: 420 };
    const both = curtainMenu({ ...menu!.window, curtains: [drawnAllYear, night] }, 50);
    expect(drawn(both)).toEqual([[drawnAllYear, night], [night], [{ ...drawnAllYear, months: bright }, night]]);
    expect(curtainMenus(curtained([night]), MAY)).toEqual([]);
  });

  it('is not there where nothing hangs, or the grower leaves it', () => {
    expect(curtainMenus(curtained([]), MAY)).toEqual([]);
    expect(curtainMenus(curtained([drawnAllYear]), { curtains: 'leave' })).toEqual([]);
  });
});

describe('humidities', () => {
  it('stay below what makes mould in a room, and are other than as it is', () => {
    expect(humidities(moistened(50), MAY)[0]!.map(({ setRh }) => setRh)).toEqual([40, 60]);
  });

  it('are none where nothing is set, or the grower leaves them', () => {
    expect(humidities(moistened(null), MAY)).toEqual([]);
    expect(humidities(moistened(50), { humidifiers: 'leave' })).toEqual([]);
  });

  const paying = (worthAt60: number) => {
    const facts = moistened(50);
    const worth = (settings: readonly Humidity[]) => (settings.some(({ setRh }) => setRh === 60) ? worthAt60 : 1);
    const search = humiditiesThatPay(facts, humidities(facts, MAY), worth);
    for (;;) {
      const step = search.next();
      if (step.done) return step.value.map(({ setRh }) => setRh);
    }
  };

  it('pay where plants gain more than the walk, the water and the power; drier air is not kept for nothing', () => {
    expect(paying(1.5)).toEqual([60]);
    expect(paying(1.03)).toEqual([]);
    expect(paying(0.5)).toEqual([]);
  });
});

describe('a plan for a home behind a curtain', () => {
  const engine = new HomeEngine(smallKnowledge);
  const WHEN = { year: 2026, month: 11 };
  const ON = '2026-11-30';

  beforeAll(async () => {
    engine.solver = await loadHighs();
  });

  const planOf = (facts: HomeFacts): FoundPlan => {
    const plan = ask(engine, facts, 'plan', { ...WHEN, on: ON, effort: 'least' });
    if (plan.state !== 'found') throw new Error(plan.state);
    return plan;
  };

  it('opens it where its plants gain, says for whom, and keeps what it promises', () => {
    const facts = curtained([{ ...drawnAllYear, fromMinute: 0, toMinute: 1440 }]);
    const found = planOf(facts);
    expect(found.others).toHaveLength(1);
    expect(found.others[0]!.gains[0]!.points).toBeGreaterThan(0.02);
    const home = carriedOut(facts, found, ON);
    expect(home.windows[0]!.curtains).not.toEqual(facts.windows[0]!.curtains);
    const after = ask(engine, home, 'home', WHEN);
    for (const { plantId, after: promised } of found.plants) {
      const { fit } = after.plants.find((one) => one.plantId === plantId)!;
      expect(Math.abs(fit!.verdict.score - promised)).toBeLessThan(0.02);
    }
  });

  it('leaves it where the grower says so', () => {
    const facts = curtained([drawnAllYear]);
    const settings = { ...planSettingsOf(facts), curtains: 'leave' as const };
    expect(planOf(applied(facts, [put('planSettings', settings)])!).others).toEqual([]);
  });
});
