/** The light of one instant at a spot, source by source. */
import { instantLight, transmittanceAt, type SpotWindow, type SunPatch, type Transmittance } from '../light';
import { burningIn, isBurning } from '../lamp';
import { UP } from '../room';
import { momentAt, type Moment, type SkyKind } from '../sky';
import { PPFD_PER_WATT, monthShares, type CivilDate } from '../units';
import { eveningLightsOf } from './conditions';
import type { HomeFacts, Reading } from '../facts';
import type { Knowledge } from './knowledge';
import type { HomeSky, LitHome } from './lit-home';
import { curtainSchedulesOf, type LeafPlace, type Scene } from './scene';

/** PPFD at a leaf at one instant by source, umol m-2 s-1. */
export interface MomentLight {
  readonly sun: number;
  readonly sky: number;
  readonly ground: number;
  readonly obstruction: number;
  readonly reflected: number;
  readonly lamps: number;
  readonly roomLight: number;
}

/** What windows and sky give together. */
export const daylightOf = ({ sun, sky, ground, obstruction, reflected }: MomentLight): number =>
  sun + sky + ground + obstruction + reflected;

/** The outdoors at an instant of a home's civil day; a typical sky goes from month to month without a step. */
export function momentOf(
  facts: HomeFacts,
  { weather, turbidity }: HomeSky,
  atMs: number,
  sky: SkyKind,
  date: CivilDate,
): Moment {
  const { home } = facts;
  const months = monthShares(date);
  return momentAt({ atMs, place: home, timeZone: home.timeZone, date, sky, turbidity, weather, months });
}

export interface SpotMoment {
  readonly lit: LitHome;
  readonly knowledge: Knowledge;
  readonly scene: Scene;
  readonly place: LeafPlace;
  readonly sky: HomeSky;
  readonly moment: Moment;
  /** Minutes after local midnight. */
  readonly minute: number;
  /** As the curtains' programme says at that minute, or all open, or all shut. */
  readonly curtains: 'as-scheduled' | Reading['curtains'];
  readonly lamps: 'as-scheduled' | 'on' | 'off';
  /** Quick where many instants are asked for. */
  readonly sunPatch?: SunPatch;
}

/** The light at a place at an instant. */
export function momentLight(question: SpotMoment): MomentLight {
  const { lit, scene, place, sky, moment, minute, lamps } = question;
  const parts = { sun: 0, sky: 0, ground: 0, obstruction: 0, reflected: 0 };
  if (moment.dhi > 0 || moment.dni > 0) {
    const seen = lit.windowsAt(scene, place);
    const receiver = { point: seen.place.leaf, normal: UP };
    for (const window of seen.windows) {
      const transmittance = transmittanceNow(question, seen.place, window);
      const { direct, reflected } = instantLight(
        window,
        receiver,
        moment,
        transmittance,
        seen.occluders,
        question.sunPatch,
      );
      const share = seen.share * PPFD_PER_WATT;
      parts.sun += direct.sun * share;
      parts.sky += direct.sky * share;
      parts.ground += direct.ground * share;
      parts.obstruction += direct.obstruction * share;
      parts.reflected += (reflected.sun + reflected.sky + reflected.ground + reflected.obstruction) * share;
    }
  }
  const burning =
    lamps === 'off'
      ? []
      : lit
          .lampsAt(scene, place, sky)
          .filter(({ circuit }) => lamps === 'on' || isBurning(circuit, moment.month, minute));
  const evening = lamps === 'off' ? [] : eveningLightsOf(scene.facts, place.room.room);
  return {
    ...parts,
    lamps: burning.reduce(
      (sum, { ppfd, circuit }) => sum + ppfd * (lamps === 'on' ? 1 : burningIn(circuit, moment.month).level),
      0,
    ),
    roomLight: evening
      .filter(({ fromMinute, toMinute }) => minute >= fromMinute && minute < toMinute)
      .reduce((sum, { ppfd }) => sum + ppfd, 0),
  };
}

function transmittanceNow(
  { knowledge, moment, minute, curtains }: SpotMoment,
  place: LeafPlace,
  seen: SpotWindow,
): Transmittance {
  const window = place.room.windows.find((candidate) => candidate.id === seen.pane.windowId)!;
  // What hangs in the room is behind a leaf that stands in the reveal.
  const schedules = curtainSchedulesOf(window, knowledge).filter(
    ({ optics }) => seen.place === 'in-room' || optics.onPane,
  );
  if (curtains === 'as-scheduled') return transmittanceAt(schedules, moment.month, minute);
  const always = { months: [moment.month], fromMinute: 0, toMinute: 1440 };
  const glass = knowledge.glazing(window.glazingId)?.scatter ? schedules.slice(0, 1) : [];
  return transmittanceAt(
    (curtains === 'open' ? glass : schedules).map(({ optics }) => ({ optics, ...always })),
    moment.month,
    minute,
  );
}
