/** What could be set or shifted for a plant where it stands, before any of it is worked out. */
import { roomIdOfSpot, type HomeFacts, type Lamp, type Plant, type Spot, type Window } from '../facts';
import { burnsFrom, type Condition, type Trouble, type YearFit } from '../fit';
import { burningFor } from '../lamp';
import type { Target } from '../plant';
import { windowMiddle } from '../room';
import { seasonalMonth } from '../taxon';
import type { AirRemedy, Remedy } from './mend';

/** What a plant wants of its place. */
export type Want = 'more-light' | 'less-light' | 'longer-night' | AirRemedy;

export interface Wanting {
  readonly facts: HomeFacts;
  readonly plant: Plant;
  readonly spot: Spot;
  readonly targets: readonly Target[];
  readonly year: readonly Condition[];
  readonly fit: YearFit;
  /** What is trouble for it by its goal. */
  readonly troubles: readonly Trouble[];
}

/** What would help, by what is wrong. */
export function wantsOf({ plant, fit, troubles }: Pick<Wanting, 'plant' | 'fit' | 'troubles'>): ReadonlySet<Want> {
  const wants = new Set<Want>();
  for (const { aspect, direction } of troubles) {
    const want = WANTED[`${aspect} ${direction}`];
    if (want) wants.add(want);
  }
  const { decidedBy } = fit.verdict;
  if (decidedBy === 'reserve' || decidedBy === 'form') wants.add('more-light');
  // What lives on its reserve lives longer in the cool.
  if (decidedBy === 'reserve' || decidedBy === 'winter') wants.add('cooler');
  if (plant.goal === 'flower') {
    for (const { lack } of fit.flowers?.lacks ?? []) {
      if (lack === 'long-nights') wants.add('longer-night');
      if (lack === 'light') wants.add('more-light');
      if (lack === 'cool-nights' || lack === 'cold-rest') wants.add('cooler');
    }
  }
  return wants;
}

const WANTED: Readonly<Record<string, Want>> = {
  'dli too-little': 'more-light',
  'dli too-much': 'less-light',
  'peak too-much': 'less-light',
  'day too-little': 'warmer',
  'night too-little': 'warmer',
  'cold-night too-little': 'warmer',
  'day too-much': 'cooler',
  'night too-much': 'cooler',
  'hot-day too-much': 'cooler',
  'dryness too-much': 'moister',
  'humidity too-much': 'drier',
  'movement too-little': 'moving',
};

/** A lamp that gives less than this in no month is none of the plant's, mol a day. */
const LEAST_LAMP_DLI = 0.05;
/** So many of the lamps and circuits that give a spot most are tried. */
const STRONGEST = 2;

/** Everything that could be set for a plant where it stands. */
export function remediesFor(wanting: Wanting): Remedy[] {
  const wants = wantsOf(wanting);
  const way = (['more-light', 'less-light'] as const).filter((want) => wants.has(want));
  return [
    ...way.flatMap((want) => [
      ...hoursFor(wanting, want),
      ...dimmingFor(wanting, want),
      ...heightsFor(wanting, want),
      ...shiftFor(wanting, want),
    ]),
    ...(wants.has('longer-night') ? hoursForNight(wanting) : []),
    ...(wants.has('less-light') ? curtainsFor(wanting) : []),
    ...(wants.has('more-light') ? openFor(wanting) : []),
    ...airFor(wanting, wants),
  ];
}

/** Lamps that light a spot, the strongest first. */
function lampsOver({ facts, year }: Wanting): Lamp[] {
  const most = (id: string) => Math.max(...year.map(({ shares }) => shares.lamps[id] ?? 0));
  return facts.lamps.filter(({ id }) => most(id) >= LEAST_LAMP_DLI).sort((p, q) => most(q.id) - most(p.id));
}

const LONGEST_LAMP_DAY_H = 16;
const SHORTEST_LAMP_DAY_H = 6;
const HOURS_TRIED = [2, 4] as const;

function circuitsOver(wanting: Wanting) {
  const ids = new Set(lampsOver(wanting).map(({ circuitId }) => circuitId));
  // A timer that follows a programme month by month is the plan's to change.
  return [...ids]
    .slice(0, STRONGEST)
    .flatMap(
      (id) => wanting.facts.circuits.find((circuit) => circuit.id === id && circuit.programme.length === 0) ?? [],
    );
}

function hoursFor(wanting: Wanting, want: 'more-light' | 'less-light'): Remedy[] {
  return circuitsOver(wanting).flatMap((circuit) => {
    const now = (circuit.offMinute - circuit.onMinute) / 60;
    return HOURS_TRIED.map((by) => (want === 'more-light' ? now + by : now - by))
      .filter((hours) => hours <= LONGEST_LAMP_DAY_H && hours >= SHORTEST_LAMP_DAY_H)
      .map((hours): Remedy => ({ kind: 'lamp-hours', circuitId: circuit.id, ...burningFor(circuit, hours) }));
  });
}

/** A little more than the critical night, so that dusk and dawn do not decide, hours. */
const NIGHT_TO_SPARE_H = 0.5;

function hoursForNight(wanting: Wanting): Remedy[] {
  const night = wanting.targets[0]!.nature.flowers?.day.criticalNightH;
  if (night == null) return [];
  const hours = 24 - night - NIGHT_TO_SPARE_H;
  return circuitsOver(wanting)
    .filter(({ onMinute, offMinute }) => (offMinute - onMinute) / 60 > hours)
    .map((circuit): Remedy => ({ kind: 'lamp-hours', circuitId: circuit.id, ...burningFor(circuit, hours) }));
}

const DIMMED_TO = { 'less-light': [0.75, 0.5, 0.3], 'more-light': [1.35, 2] } as const;
const DIMMING_STEP = 0.05;

function dimmingFor(wanting: Wanting, want: 'more-light' | 'less-light'): Remedy[] {
  return lampsOver(wanting)
    .slice(0, STRONGEST)
    .flatMap(({ id, dimming }) =>
      DIMMED_TO[want]
        .map((times) => Math.min(1, Math.round((dimming * times) / DIMMING_STEP) * DIMMING_STEP))
        .filter((to, i, all) => Math.abs(to - dimming) > DIMMING_STEP / 2 && all.indexOf(to) === i)
        .map((to): Remedy => ({ kind: 'dim', lampId: id, dimming: Number(to.toFixed(2)) })),
    );
}

const HUNG_BY_M = [0.1, 0.2] as const;
/** A lamp is hung no nearer to the leaves under it, nor to the board, m. */
const FROM_LEAVES_M = 0.1;
const FROM_BOARD_M = 0.15;
const UNDER_BOARD_M = 0.04;

function heightsFor(wanting: Wanting, want: 'more-light' | 'less-light'): Remedy[] {
  const { facts } = wanting;
  return lampsOver(wanting)
    .slice(0, 1)
    .flatMap((lamp) => {
      const [lowest, highest] = heightsOf(facts, lamp);
      return HUNG_BY_M.map((by) => lamp.aboveM + (want === 'more-light' ? -by : by))
        .filter((above) => above >= lowest && above <= highest)
        .map((above): Remedy => ({ kind: 'hang', lampId: lamp.id, aboveM: Number(above.toFixed(2)) }));
    });
}

function heightsOf({ stands, tiers, rooms, spots, plants }: HomeFacts, lamp: Lamp): readonly [number, number] {
  const tier = tiers.find(({ id }) => id === lamp.tierId)!;
  const stand = stands.find(({ id }) => id === tier.standId)!;
  const room = rooms.find(({ id }) => id === stand.roomId)!;
  const onTier = new Set(spots.filter(({ tierId }) => tierId === tier.id).map(({ id }) => id));
  const tallest = Math.max(
    0,
    ...plants
      .filter(({ spotId }) => spotId !== null && onTier.has(spotId))
      .map(({ heightCm }) => (heightCm ?? 0) / 100),
  );
  const above = tiers
    .filter((other) => other.standId === stand.id && other.heightM > tier.heightM)
    .map((other) => other.heightM - tier.heightM);
  const highest = Math.min(room.heightM - tier.heightM, ...above) - UNDER_BOARD_M;
  return [Math.max(FROM_BOARD_M, tallest + FROM_LEAVES_M), highest];
}

const SHIFT_M = 0.3;
/** Less than this is not worth the trouble, m. */
const LEAST_SHIFT_M = 0.08;

/**
 * The spot carried along its board toward the nearest window or away from it, as far as board and neighbours let it.
 */
function shiftFor({ facts, spot }: Wanting, want: 'more-light' | 'less-light'): Remedy[] {
  const tier = facts.tiers.find(({ id }) => id === spot.tierId);
  const stand = tier && facts.stands.find(({ id }) => id === tier.standId);
  const room = stand && facts.rooms.find(({ id }) => id === stand.roomId);
  if (!stand || !room) return [];
  const [x, y] = [stand.xM + spot.alongM, stand.yM + spot.acrossM];
  const [nearest] = facts.windows
    .filter(({ roomId }) => roomId === room.id)
    .map((window) => windowMiddle(room, window))
    .sort((p, q) => Math.hypot(p.x - x, p.y - y) - Math.hypot(q.x - x, q.y - y));
  if (!nearest) return [];
  const away = Math.hypot(nearest.x - x, nearest.y - y);
  if (away < LEAST_SHIFT_M) return [];
  const sign = want === 'more-light' ? 1 : -1;
  const [dx, dy] = [(sign * (nearest.x - x)) / away, (sign * (nearest.y - y)) / away];
  const others = facts.spots.filter(({ id, tierId }) => tierId === spot.tierId && id !== spot.id);
  const half = spot.sizeM / 2;
  const clamp = (value: number, length: number) => Math.max(half, Math.min(length - half, value));
  let best: Remedy | null = null;
  for (let by = LEAST_SHIFT_M; by <= Math.min(SHIFT_M, away); by += 0.02) {
    const alongM = clamp(spot.alongM + dx * by, stand.widthM);
    const acrossM = clamp(spot.acrossM + dy * by, stand.depthM);
    const isFree = others.every(
      (other) => Math.hypot(other.alongM - alongM, other.acrossM - acrossM) >= (spot.sizeM + other.sizeM) / 2 - 1e-9,
    );
    const moved = Math.hypot(alongM - spot.alongM, acrossM - spot.acrossM);
    if (!isFree || moved < LEAST_SHIFT_M) continue;
    best = {
      kind: 'shift',
      spotId: spot.id,
      alongM: Number(alongM.toFixed(2)),
      acrossM: Number(acrossM.toFixed(2)),
      byM: Number(moved.toFixed(2)),
      way: want === 'more-light' ? 'toward-window' : 'from-window',
    };
  }
  return best ? [best] : [];
}

/** Months of strong sun, northern calendar: a curtain that shades a plant then costs the others little. */
const SUMMER_HALF: ReadonlySet<number> = new Set([4, 5, 6, 7, 8, 9]);
/** A thin one before a thick one. */
const CURTAINS_TRIED = ['net', 'sheer'] as const;

/** Windows of a plant's room, or of the room around its cabinet. */
function windowsOver({ facts, spot }: Wanting): readonly Window[] {
  const own = facts.rooms.find(({ id }) => id === roomIdOfSpot(facts, spot.id));
  const room = own?.insideRoomId ?? own?.id;
  return facts.windows
    .filter(({ roomId }) => roomId === room)
    .sort((p, q) => q.widthM * q.heightM - p.widthM * p.heightM);
}

/** A curtain in the months and hours in which the sun burns, and in no others. */
function curtainsFor(wanting: Wanting): Remedy[] {
  const { facts, targets, year, troubles } = wanting;
  const burning = troubles.filter(({ aspect }) => aspect === 'peak').flatMap(({ months }) => months);
  const months = burning.filter((month) => SUMMER_HALF.has(seasonalMonth(month, facts.home.latitude)));
  if (months.length === 0) return [];
  const hours = months.flatMap((month) => {
    const { clearDay } = year[month - 1]!;
    const limit = burnsFrom(targets[month - 1]!, year[month - 1]!);
    return clearDay.flatMap((ppfd, hour) => (ppfd > limit ? [hour] : []));
  });
  const span = { fromMinute: 60 * Math.min(...hours), toMinute: 60 * (Math.max(...hours) + 1) };
  return windowsOver(wanting)
    .filter(({ curtains }) => curtains.length === 0)
    .slice(0, STRONGEST)
    .flatMap(({ id }) =>
      CURTAINS_TRIED.map((curtainId): Remedy => ({ kind: 'curtain', windowId: id, curtainId, months, ...span })),
    );
}

/** Curtains left open in the months in which it is too dim. */
function openFor(wanting: Wanting): Remedy[] {
  const dim = wanting.troubles.filter(({ aspect, direction }) => aspect === 'dli' && direction === 'too-little');
  const months = dim.flatMap((trouble) => trouble.months);
  return windowsOver(wanting)
    .filter(({ curtains }) => curtains.some((hung) => hung.months.some((month) => months.includes(month))))
    .slice(0, STRONGEST)
    .map(({ id }): Remedy => ({ kind: 'open', windowId: id, months }));
}

/** Months of weak light, northern calendar, in which the cool spares a reserve. */
const WINTER_HALF = [11, 12, 1, 2, 3];
const AIR_WANTS: readonly AirRemedy[] = ['warmer', 'cooler', 'moister', 'drier', 'moving'];

function airFor({ facts, spot, troubles, fit }: Wanting, wants: ReadonlySet<Want>): Remedy[] {
  const roomId = roomIdOfSpot(facts, spot.id);
  if (roomId === null) return [];
  const winter = WINTER_HALF.map((month) => seasonalMonth(month, facts.home.latitude));
  return AIR_WANTS.filter((want) => wants.has(want)).map((what): Remedy => {
    const asked = troubles
      .filter(({ aspect, direction }) => WANTED[`${aspect} ${direction}`] === what)
      .flatMap((trouble) => trouble.months);
    const isWinter = what === 'cooler' && (asked.length === 0 || fit.verdict.decidedBy === 'winter');
    return { kind: 'air', roomId, what, months: isWinter ? winter : [...new Set(asked)] };
  });
}
