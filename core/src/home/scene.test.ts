/** What a home's parts depend on: a curtain leaves the geometry as it was, a tree does not. */
import { lampPpfd } from '../lamp';
import type { HomeFacts } from '../facts';
import { ALL_MONTHS } from '../units';
import { HomeEngine } from './engine';
import { curtainSchedulesOf, sceneOf } from './scene';
import { smallHome, smallKnowledge } from './small-home.fixture';

const { sources } = new HomeEngine(smallKnowledge);
const SHEER = { curtainId: 'sheer', months: ALL_MONTHS, fromMinute: 0, toMinute: 1440 };
const scene = (facts: HomeFacts) => sceneOf(facts, sources).rooms.get('r')!;
const before = scene(smallHome);
const window = smallHome.windows[0]!;

describe('a room put in order', () => {
  it('keeps its geometry under another curtain and another name', () => {
    const after = scene({ ...smallHome, windows: [{ ...window, name: 'Bay', curtains: [SHEER] }] });
    expect(after.geometryKey).toBe(before.geometryKey);
    expect(after.curtainsKey).not.toBe(before.curtainsKey);
    expect(after.transmittances.get('w')!.straight[12]!).toBeLessThan(1);
    expect(before.transmittances.size).toBe(0);
  });

  it.each([
    ['a wider pane', { windows: [{ ...window, widthM: 1.9 }] }],
    ['a deeper reveal', { windows: [{ ...window, revealM: 0.2 }] }],
    [
      'a tree outside',
      {
        obstructions: [
          {
            id: 't',
            roomId: 'r',
            name: 'Lime',
            kind: 'deciduous' as const,
            fromBearing: 170,
            toBearing: 190,
            heightDeg: 20,
            reflectance: 0.1,
            leafMonths: [6],
          },
        ],
      },
    ],
    ['snow', { home: { ...smallHome.home, snowMonths: [1] } }],
    ['a darker wall', { rooms: smallHome.rooms.map((room) => ({ ...room, wallReflectance: 0.2 })) }],
  ])('tells %s from what was', (_name, given) =>
    expect(scene({ ...smallHome, ...given }).geometryKey).not.toBe(before.geometryKey),
  );

  it('tells a cupboard by its solids and a lamp by its place', () => {
    const cupboard = scene({
      ...smallHome,
      blocks: [
        {
          id: 'k',
          roomId: 'r',
          name: 'Cupboard',
          xM: 3,
          yM: 3,
          zM: 0,
          widthM: 0.5,
          depthM: 0.5,
          heightM: 2,
          reflectance: 0.4,
        },
      ],
    });
    expect(cupboard.geometryKey).toBe(before.geometryKey);
    expect(cupboard.solidsKey).not.toBe(before.solidsKey);
    const moved = scene({
      ...smallHome,
      stands: smallHome.stands.map((stand) => (stand.id === 'shelf' ? { ...stand, xM: 0.5 } : stand)),
    });
    expect(moved.lightsKey).not.toBe(before.lightsKey);
    expect(lampPpfd(moved.lights[0]!.placed, before.lights[0]!.placed.centre, [])).toBe(0);
  });

  it('finds who stands where', () => {
    const { plantsAt } = sceneOf(smallHome, sources);
    expect(plantsAt.get('dim')!.map((plant) => plant.id)).toEqual(['p']);
    expect(plantsAt.get('bright')).toBeUndefined();
  });
});

describe('what hangs at a window', () => {
  it('is both curtains, each with its own months and hours', () => {
    const both = curtainSchedulesOf(
      {
        ...window,
        curtains: [SHEER, { curtainId: 'blackout', months: [7], fromMinute: 720, toMinute: 900 }],
      },
      smallKnowledge,
    );
    expect(both.map(({ optics, months }) => [optics.transmittance, months.length])).toEqual([
      [0.5, 12],
      [0, 1],
    ]);
    expect(both[1]).toMatchObject({ fromMinute: 720, toMinute: 900 });
  });

  it('begins with the glass itself where that scatters', () => {
    const frosted = {
      ...smallKnowledge,
      glazing: () => ({ panes: 1 as const, normalTransmittance: 0.7, scatter: 0.8 }),
    };
    expect(curtainSchedulesOf(window, frosted)).toEqual([
      {
        optics: { transmittance: 1, scatter: 0.8, onPane: true },
        months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12],
        fromMinute: 0,
        toMinute: 1440,
      },
    ]);
  });
});
