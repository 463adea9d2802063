/** npm run convergence: how far a month's daylight moves when patches, window cells or time steps are doubled, at the demo homes' spots. */
import { knowledge } from '@dulvan/catalogue';
import {
  DEFAULT_RESOLUTION,
  MOL_PER_UMOL_HOUR,
  PPFD_PER_WATT,
  UP,
  climateWeather,
  daylightYear,
  litRoom,
  paneOf,
  paneYear,
  placedSpots,
  seasonalMonth,
  skyYear,
  solidsOf,
  spotWindows,
  windowYear,
  type HomeFacts,
  type Resolution,
  type StepMinutes,
} from '@dulvan/core';
import { backRoom } from '../server/src/demo/back-room';
import { sailLoft } from '../server/src/demo/sail-loft';

const YEAR = 2026;
/** Months darker than this are left out of the shares, mol a day: nobody grows by them. */
const WORTH_COUNTING = 0.05;

interface Settings {
  readonly name: string;
  readonly resolution: Resolution;
  readonly stepMinutes: StepMinutes;
}

const { spot, surface } = DEFAULT_RESOLUTION;
const finer = (fineness: typeof spot) => ({
  ...fineness,
  cellPerDistance: fineness.cellPerDistance / 2,
  least: fineness.least * 2,
  most: fineness.most * 2,
});
const DEFAULTS: Settings = { name: 'the defaults', resolution: DEFAULT_RESOLUTION, stepMinutes: 15 };
const DOUBLED: readonly Settings[] = [
  { ...DEFAULTS, name: 'twice the patches along each edge', resolution: { ...DEFAULT_RESOLUTION, patchesAlong: 12 } },
  { ...DEFAULTS, name: 'twice the window cells from spots', resolution: { ...DEFAULT_RESOLUTION, spot: finer(spot) } },
  {
    ...DEFAULTS,
    name: 'twice the window cells from surfaces',
    resolution: { ...DEFAULT_RESOLUTION, surface: finer(surface) },
  },
  { ...DEFAULTS, name: 'twice the cells of the sun’s patch', resolution: { ...DEFAULT_RESOLUTION, sunCells: 24 } },
  {
    ...DEFAULTS,
    name: 'half as long patches of things and reveals',
    resolution: { ...DEFAULT_RESOLUTION, thingPatchM: 0.25 },
  },
  { ...DEFAULTS, name: 'steps of 7.5 minutes', stepMinutes: 7.5 },
  { ...DEFAULTS, name: 'steps of 3.75 minutes', stepMinutes: 3.75 },
  {
    name: 'all of them',
    resolution: { patchesAlong: 12, thingPatchM: 0.25, spot: finer(spot), surface: finer(surface), sunCells: 24 },
    stepMinutes: 7.5,
  },
];

/** Monthly mean daylight DLI of every spot that is not in a cabinet, mol a day. */
function dlis(facts: HomeFacts, { resolution, stepMinutes }: Settings): Map<string, number[]> {
  const { home } = facts;
  const climate = knowledge.climate(home.climateId)!;
  const clearness = climate.clearness.map((_, i) => climate.clearness[seasonalMonth(i + 1, home.latitude) - 1]!);
  const sky = skyYear({
    place: home,
    timeZone: home.timeZone,
    year: YEAR,
    weather: climateWeather(clearness, home.elevationM, climate.turbidity),
    stepMinutes,
  });
  const found = new Map<string, number[]>();
  for (const room of facts.rooms.filter((candidate) => candidate.insideRoomId === null)) {
    const panes = facts.windows
      .filter((window) => window.roomId === room.id)
      .map((window) => paneOf(room, window, knowledge.glazing(window.glazingId)!));
    const lit = litRoom(room, panes, solidsOf(facts, room.id), [], resolution);
    let outside: ReturnType<typeof paneYear>[] | null = null;
    for (const { spot: at, leaf } of placedSpots(facts).filter((placed) => placed.room.id === room.id)) {
      const windows = spotWindows(lit, { point: leaf, normal: UP });
      outside ??= windows.map((window) => paneYear(window, sky));
      const year = daylightYear(
        windows.map((window, i) => windowYear(window, leaf, lit.solids, sky, outside![i]!)),
        sky,
        new Map(),
      );
      found.set(
        at.id,
        Array.from({ length: 12 }, (_, month0) => {
          const types = Array.from(
            { length: year.dayTypes },
            (_unused, type) => year.byDayType[month0 * year.dayTypes + type]!,
          );
          return (
            (types.reduce((sum, wattHours) => sum + wattHours, 0) / types.length) * PPFD_PER_WATT * MOL_PER_UMOL_HOUR
          );
        }),
      );
    }
  }
  return found;
}

const percent = (share: number) => `${(share * 100).toFixed(2)} %`.padStart(9);

for (const facts of [sailLoft, backRoom]) {
  const startedMs = performance.now();
  const before = dlis(facts, DEFAULTS);
  const baseMs = performance.now() - startedMs;
  console.log(`\n${facts.home.name}: ${before.size} spots, change of a month's daylight against the defaults`);
  for (const settings of DOUBLED) {
    const beganMs = performance.now();
    const after = dlis(facts, settings);
    const ratio = (performance.now() - beganMs) / baseMs;
    const changes = [...before].flatMap(([id, months]) =>
      months.flatMap((dli, i) =>
        dli < WORTH_COUNTING ? [] : [{ id, month: i + 1, by: Math.abs(after.get(id)![i]! / dli - 1) }],
      ),
    );
    const worst = changes.reduce((p, q) => (q.by > p.by ? q : p));
    const mean = changes.reduce((sum, { by }) => sum + by, 0) / changes.length;
    const years = [...before].map(([id, months]) =>
      Math.abs(after.get(id)!.reduce((p, q) => p + q, 0) / months.reduce((p, q) => p + q, 0) - 1),
    );
    console.log(
      `${settings.name.padEnd(38)} mean ${percent(mean)}  most ${percent(worst.by)} (${worst.id}, month ${worst.month})  most in a year ${percent(Math.max(...years))}  time x ${ratio.toFixed(1)}`,
    );
  }
}
