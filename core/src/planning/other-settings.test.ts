/** Curtains and humidifiers by a plan: the ways that are tried, those that pay, and what they promise. */
import loadHighs from 'highs';
import { applied, patch, put, type HomeFacts, type HungCurtain } from '../facts';
import { thingWith } from '../home/air-things.fixture';
import { HomeEngine } from '../home';
import { smallHome, smallKnowledge } from '../home/small-home.fixture';
import { ask } from '../questions';
import { ALL_MONTHS } from '../units';
import { carriedOut } from './carried-out.fixture';
import { otherSettings, settingsThatPay, type OtherSetting } from './other-settings';
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

const curtainsOf = (ways: readonly OtherSetting[]) =>
  ways.flatMap((way) => (way.kind === 'curtain' ? [way.curtains] : []));

describe('the ways that are tried', () => {
  it('of a curtain: open, drawn in the bright half of the year, or then about noon alone', () => {
    const [ways] = otherSettings(curtained([drawnAllYear]), MAY);
    const bright = [4, 5, 6, 7, 8, 9];
    expect(curtainsOf(ways!)).toEqual([
      [],
      [{ ...drawnAllYear, months: bright }],
      [{ ...drawnAllYear, months: bright, fromMinute: 660, toMinute: 960 }],
    ]);
  });

  it('are of the other half of the year in the south', () => {
    const south = applied(curtained([drawnAllYear]), [patch('home', 'h', { latitude: -34.6 })])!;
    const [ways] = otherSettings(south, MAY);
    expect(curtainsOf(ways!)[1]![0]!.months).toEqual([1, 2, 3, 10, 11, 12]);
  });

  it('of a humidifier stay below what makes mould in a room, and are other than as it is', () => {
    const [ways] = otherSettings(moistened(50), MAY);
    expect(ways!.map((way) => way.kind === 'humidifier' && way.setRh)).toEqual([40, 60]);
  });

  it('are none where nothing hangs, nothing is set, or the grower leaves them', () => {
    expect(otherSettings(curtained([]), MAY)).toEqual([]);
    expect(otherSettings(moistened(null), MAY)).toEqual([]);
    expect(otherSettings(curtained([drawnAllYear]), { ...MAY, curtains: 'leave' })).toEqual([]);
    expect(otherSettings(moistened(50), { ...MAY, humidifiers: 'leave' })).toEqual([]);
  });
});

describe('settings that pay', () => {
  const ways = otherSettings(curtained([drawnAllYear]), MAY);
  const paying = (worthWith: (settings: readonly OtherSetting[]) => number) => {
    const search = settingsThatPay(smallHome, ways, worthWith);
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
    }
  };

  it('are the best of each, and none where the gain is not worth the walk', () => {
    const openIs = (worth: number) => (settings: readonly OtherSetting[]) =>
      settings.some((one) => one.kind === 'curtain' && one.curtains.length === 0) ? worth : 1;
    expect(curtainsOf(paying(openIs(1.5)))).toEqual([[]]);
    expect(paying(openIs(1.01))).toEqual([]);
    expect(paying(openIs(0.5))).toEqual([]);
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
