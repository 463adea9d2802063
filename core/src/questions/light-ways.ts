/**
 * Several ways to the light that is wanted over a tier, each with what it costs to run: longer days, lamps hung anew,
 * open curtains, a white wall, and the lamp to buy, without a brand.
 */
import {
  PLAIN_LAMP,
  PLAIN_TIMER,
  applied,
  patch,
  put,
  type Change,
  type Circuit,
  type HomeFacts,
  type Lamp,
  type Tier,
} from '../facts';
import type { HomeEngine, Steps } from '../home';
import { DAYS_OF_MONTHS, fullHours, priceOver } from '../lamp';
import { LED_UMOL_J } from '../match';
import { ALL_MONTHS, MOL_PER_UMOL_HOUR } from '../units';
import { EVENNESS_WEIGHT, LONGEST_LAMP_DAY_H } from './lamp-plan';
import { hangingRange, hoursFor, tierLight, type PlaceLight } from './tier-light';

export interface LightWaysParams {
  readonly tierId: string;
  /** Month (1..12) whose daylight counts. */
  readonly month: number;
  readonly wantedDli: number;
  readonly peakPpfd: number;
  readonly year: number;
}

/** A white LED to buy, by what stands on its label. */
export interface LampToBuy {
  readonly form: 'bar' | 'panel';
  readonly count: number;
  /** Photons of each, umol/s, and its power by a usual efficacy, W. */
  readonly ppf: number;
  readonly watts: number;
  readonly lengthM: number;
}

export interface LightWay {
  readonly what: 'longer' | 'hang' | 'curtains' | 'paint' | 'buy';
  /** How high lamps hang above the board, m; null where there are none. */
  readonly aboveM: number | null;
  /** Hours a day in the month that was asked about; of lamps to buy those of the new ones. */
  readonly hours: number;
  /** What the dimmest spot gets then, mol m-2 d-1. */
  readonly least: number;
  /** Least over mean of the light of its lamps, 0..1; null without a lamp. */
  readonly uniformity: number | null;
  /** Electricity of a year, kWh, of all lamps of the tier; and what it costs, null where no price was said. */
  readonly kWhYear: number;
  readonly costYear: number | null;
  readonly buy: LampToBuy | null;
  /** Whether it is enough: a way that is not still tells how far it gets. */
  readonly isEnough: boolean;
}

/** A wall as white as paint makes it. */
const WHITE_WALL = 0.85;
/** A wall that is nearly so gains nothing worth a bucket of paint. */
const DULL_BELOW = 0.7;
/** Lamps to buy burn so long: a day that suits most. */
const BOUGHT_HOURS = 14;
/** What a first sizing is worked out with, umol/s. */
const TRIED_PPF = 100;
const PPF_STEP = 5;
const HEIGHTS_TRIED = 4;
/** A bar is as long as its stand, less this; a panel covers this share of it. */
const BAR_SHORTER_M = 0.1;
const LONGEST_BAR_M = 1.2;
const BAR_BREADTH_M = 0.04;
const PANEL_SHARE = 0.6;
const LAMBERTIAN_DEG = 120;
/** Burning hours begin here for their price, minutes after midnight. */
const ON_MINUTE = 480;

interface Asking {
  readonly engine: HomeEngine;
  readonly facts: HomeFacts;
  readonly tier: Tier;
  readonly asked: LightWaysParams;
}

/** The ways that there are for a tier, those that are enough first, the cheapest to run first among them. */
export function* lightWays(engine: HomeEngine, facts: HomeFacts, asked: LightWaysParams): Steps<LightWay[]> {
  const tier = facts.tiers.find(({ id }) => id === asked.tierId);
  if (!tier) return [];
  const asking: Asking = { engine, facts, tier, asked };
  const tried = [...setting(asking), ...hanging(asking), ...changing(asking), ...buying(asking)];
  const ways: LightWay[] = [];
  for (const [i, way] of tried.entries()) {
    yield i / tried.length;
    const found = way();
    if (found) ways.push(found);
  }
  const cost = ({ kWhYear, uniformity }: LightWay) => kWhYear * (1 + EVENNESS_WEIGHT * (1 - (uniformity ?? 1)));
  const inOrder = ways.sort((p, q) => Number(q.isEnough) - Number(p.isEnough) || cost(p) - cost(q));
  // Of many heights and lamps the best of its kind is told.
  return inOrder.filter(({ what }, i) => inOrder.findIndex((way) => way.what === what) === i);
}

type Trying = () => LightWay | null;

const ownLamps = ({ facts, tier }: Asking) => facts.lamps.filter(({ tierId }) => tierId === tier.id);

/** What the tier's own lamps must do in a changed home. */
function withOwnLamps(asking: Asking, what: LightWay['what'], changes: readonly Change[]): LightWay | null {
  const { engine, facts, tier, asked } = asking;
  const home = applied(facts, changes);
  if (!home) return null;
  const own = home.lamps.filter(({ tierId }) => tierId === tier.id);
  const isOwn = ({ lampId }: { readonly lampId: string }) => own.some(({ id }) => id === lampId);
  const places = tierLight(engine, home, { tier, year: asked.year, isOwn });
  if (places.some(({ topPpfd }) => topPpfd > asked.peakPpfd)) return null;
  const watts = own.reduce((sum, { powerW, dimming }) => sum + powerW * dimming, 0);
  return wayOf(asking, { what, places, watts, longest: LONGEST_LAMP_DAY_H, aboveM: own[0]?.aboveM ?? null, buy: null });
}

interface Found extends Pick<LightWay, 'what' | 'aboveM' | 'buy'> {
  readonly places: readonly PlaceLight[];
  /** Power of the lamps whose hours are worked out, W. */
  readonly watts: number;
  readonly longest: number;
  /** Electricity of lamps that burn as they do now, kWh a year. */
  readonly alsoKWh?: number;
}

function wayOf({ facts, asked }: Asking, found: Found): LightWay {
  const { places, watts, longest } = found;
  const hoursIn = (month: number) =>
    Math.max(...places.map(({ ppfd, besides }) => hoursFor(asked.wantedDli, besides[month - 1]!, ppfd)));
  const hours = Math.min(longest, hoursIn(asked.month));
  const gets = places.map(({ ppfd, besides }) => besides[asked.month - 1]! + ppfd * hours * MOL_PER_UMOL_HOUR);
  const mean = places.reduce((sum, { ppfd }) => sum + ppfd, 0) / places.length;
  const kWhOwn = ALL_MONTHS.reduce(
    (sum, month) => sum + (watts * Math.min(longest, hoursIn(month)) * DAYS_OF_MONTHS[month - 1]!) / 1000,
    0,
  );
  const kWhYear = kWhOwn + (found.alsoKWh ?? 0);
  const price = priceOver(facts.tariffs, [{ onMinute: ON_MINUTE, offMinute: ON_MINUTE + BOUGHT_HOURS * 60 }]);
  return {
    what: found.what,
    aboveM: found.aboveM,
    hours,
    least: Math.min(...gets),
    uniformity: mean > 0 ? Math.min(...places.map(({ ppfd }) => ppfd)) / mean : null,
    kWhYear,
    costYear: price === null ? null : price * kWhYear,
    buy: found.buy,
    isEnough: Math.min(...gets) >= asked.wantedDli - 1e-6,
  };
}

const setting = (asking: Asking): Trying[] =>
  ownLamps(asking).length > 0 ? [() => withOwnLamps(asking, 'longer', [])] : [];

const heightsOf = ({ facts, tier }: Asking): number[] => {
  const { clear, top } = hangingRange(facts, tier);
  if (top <= clear) return [];
  const step = (top - clear) / (HEIGHTS_TRIED - 1);
  return Array.from({ length: HEIGHTS_TRIED }, (_, i) => Math.round((clear + i * step) * 100) / 100);
};

const hanging = (asking: Asking): Trying[] =>
  ownLamps(asking).length === 0
    ? []
    : heightsOf(asking).map(
        (aboveM) => () =>
          withOwnLamps(
            asking,
            'hang',
            ownLamps(asking).map(({ id }) => patch('lamps', id, { aboveM })),
          ),
      );

/** What lets more daylight in, or sends more of it back. */
function changing(asking: Asking): Trying[] {
  const { facts, tier, asked } = asking;
  const roomId = facts.stands.find(({ id }) => id === tier.standId)?.roomId;
  const room = facts.rooms.find(({ id }) => id === roomId);
  if (!room) return [];
  const hung = facts.windows.filter(
    (window) => window.roomId === room.id && window.curtains.some(({ months }) => months.includes(asked.month)),
  );
  return [
    ...(hung.length > 0
      ? [
          () =>
            withOwnLamps(
              asking,
              'curtains',
              hung.map(({ id }) => patch('windows', id, { curtains: [] })),
            ),
        ]
      : []),
    ...(room.wallReflectance < DULL_BELOW
      ? [() => withOwnLamps(asking, 'paint', [patch('rooms', room.id, { wallReflectance: WHITE_WALL })])]
      : []),
  ];
}

/** Lamps of some form and number over a tier, each of as many photons as the sizing begins with. */
function lampsOver({ facts, tier }: Asking, form: LampToBuy['form'], count: number, aboveM: number): Lamp[] {
  const stand = facts.stands.find(({ id }) => id === tier.standId)!;
  const isAlongX = stand.widthM >= stand.depthM;
  const [long, short] = isAlongX ? [stand.widthM, stand.depthM] : [stand.depthM, stand.widthM];
  const length =
    form === 'bar' ? Math.min(LONGEST_BAR_M, Math.max(0.2, long - BAR_SHORTER_M)) : PANEL_SHARE * (long / count);
  const breadth = form === 'bar' ? BAR_BREADTH_M : PANEL_SHARE * short;
  return Array.from({ length: count }, (_, i): Lamp => {
    const share = (i + 0.5) / count;
    // Bars lie beside each other across the stand, panels one after the other along it.
    const [along, across] = form === 'bar' ? [long / 2, short * share] : [long * share, short / 2];
    return {
      ...{ id: `to-buy-${i}`, circuitId: NEW_TIMER, tierId: tier.id, name: 'To buy', form },
      ...{ ppf: TRIED_PPF, powerW: TRIED_PPF / LED_UMOL_J, spectrum: 'white-neutral', beamDeg: LAMBERTIAN_DEG },
      ...{ lengthM: isAlongX ? length : breadth, breadthM: isAlongX ? breadth : length },
      ...{ alongM: isAlongX ? along : across, acrossM: isAlongX ? across : along, aboveM, dimming: 1 },
      ...{
        ...PLAIN_LAMP,
      },
    };
  });
}

const NEW_TIMER = 'timer-of-lamps-to-buy';
const COUNTS: Readonly<Record<LampToBuy['form'], readonly number[]>> = { bar: [1, 2, 3], panel: [1, 2] };

const buying = (asking: Asking): Trying[] =>
  (['bar', 'panel'] as const).flatMap((form) =>
    COUNTS[form].flatMap((count) => heightsOf(asking).map((aboveM) => () => bought(asking, form, count, aboveM))),
  );

/** The least lamps of a form that give every spot what it lacks, while those there burn on as they do. */
function bought(asking: Asking, form: LampToBuy['form'], count: number, aboveM: number): LightWay | null {
  const { engine, facts, tier, asked } = asking;
  const lamps = lampsOver(asking, form, count, aboveM);
  const timer: Circuit = {
    ...{ ...PLAIN_TIMER, id: NEW_TIMER, homeId: facts.home.id, name: 'To buy', months: ALL_MONTHS },
    ...{ onMinute: ON_MINUTE, offMinute: ON_MINUTE + BOUGHT_HOURS * 60 },
  };
  const home = applied(facts, [put('circuits', timer), ...lamps.map((lamp) => put('lamps', lamp))])!;
  const isOwn = ({ circuit }: { readonly circuit: Circuit }) => circuit.id === NEW_TIMER;
  const places = tierLight(engine, home, { tier, year: asked.year, isOwn });
  const per = (place: PlaceLight) => place.ppfd / TRIED_PPF;
  if (places.some((place) => per(place) <= 0)) return null;
  const needed = Math.max(
    0,
    ...places.map((place) => {
      const missing = asked.wantedDli - place.besides[asked.month - 1]!;
      return missing / (per(place) * BOUGHT_HOURS * MOL_PER_UMOL_HOUR);
    }),
  );
  if (needed === 0) return null;
  const ppf = Math.ceil(needed / PPF_STEP) * PPF_STEP;
  const scale = ppf / TRIED_PPF;
  const scaled = places.map((place) => ({ ...place, ppfd: place.ppfd * scale, topPpfd: place.topPpfd * scale }));
  if (scaled.some(({ topPpfd }) => topPpfd > asked.peakPpfd)) return null;
  const watts = Math.ceil(ppf / LED_UMOL_J);
  const long = Math.max(lamps[0]!.lengthM, lamps[0]!.breadthM);
  const buy: LampToBuy = { form, count, ppf, watts, lengthM: Math.round(long * 100) / 100 };
  return wayOf(asking, {
    ...{ what: 'buy', places: scaled, watts: watts * count, longest: BOUGHT_HOURS, aboveM, buy },
    alsoKWh: kWhNow(asking),
  });
}

/** Electricity of the tier's lamps as their timers are, kWh a year. */
function kWhNow(asking: Asking): number {
  const { facts } = asking;
  return ownLamps(asking).reduce((sum, { circuitId, powerW, dimming }) => {
    const timer = facts.circuits.find(({ id }) => id === circuitId);
    return timer ? sum + yearHours(timer) * ((powerW * dimming) / 1000) : sum;
  }, 0);
}

const yearHours = (timer: Circuit): number =>
  ALL_MONTHS.reduce((sum, month) => sum + fullHours(timer, month) * DAYS_OF_MONTHS[month - 1]!, 0);
