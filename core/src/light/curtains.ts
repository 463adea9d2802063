/** What a window's curtains, blinds and films let through, hour by hour. */
import { isShutAt } from '../facts';
import { HOUR_BINS } from '../sky/year';

/** What a curtain that fills the window does: it lets a share through and spreads it evenly. */
export interface CurtainOptics {
  readonly transmittance: number;
  /** Share of what passes that is scattered; the rest goes straight on. */
  readonly scatter: number;
  /** A film on the pane, or the pane itself: at the far end of the reveal. All else hangs on the room's side of it. */
  readonly onPane?: boolean | undefined;
}

/** How much of a window's light goes straight on and how much is spread evenly, all its curtains taken together. */
export interface Transmittance {
  readonly straight: number;
  /** Spread by what hangs in the room, of what came straight through the pane. */
  readonly spread: number;
  /** Spread by the pane or a film on it, and then straight on. */
  readonly veiled: number;
  /** Spread by the pane, and again by what hangs in the room. */
  readonly twice: number;
}

export const UNCURTAINED: Transmittance = { straight: 1, spread: 0, veiled: 0, twice: 0 };

/** Veils one behind the other: what one has spread stays spread. */
export function transmittanceOf(optics: readonly CurtainOptics[]): Transmittance {
  const pane = inARow(optics.filter(({ onPane }) => onPane));
  const room = inARow(optics.filter(({ onPane }) => !onPane));
  return {
    straight: pane.straight * room.straight,
    spread: pane.straight * room.spread,
    veiled: pane.spread * room.straight,
    twice: pane.spread * room.spread,
  };
}

function inARow(optics: readonly CurtainOptics[]): { straight: number; spread: number } {
  let straight = 1;
  let whole = 1;
  for (const { transmittance, scatter } of optics) {
    straight *= transmittance * (1 - scatter);
    whole *= transmittance;
  }
  return { straight, spread: whole - straight };
}

/** A curtain and when it is shut, in local minutes; over midnight where it opens at an earlier one. */
export interface CurtainSchedule {
  readonly optics: CurtainOptics;
  readonly months: readonly number[];
  readonly fromMinute: number;
  readonly toMinute: number;
}

/** The transmittance of a window's light through a year, by hour bin. */
export interface TransmittanceYear {
  /** Means over the hour. */
  readonly straight: Float64Array;
  readonly spread: Float64Array;
  readonly veiled: Float64Array;
  readonly twice: Float64Array;
  /** The most that goes straight on at any time of the hour. */
  readonly straightMost: Float64Array;
  /** Share of the hour in which a leaf still has the sun's disc: half of the beam or more goes straight on. */
  readonly sunShare: Float64Array;
  /** What it follows from, to the minute. */
  readonly schedules: readonly CurtainSchedule[];
  /** Without what hangs in the room, for leaves that stand in the reveal between it and the pane; null where nothing does. */
  readonly ofPane: TransmittanceYear | null;
}

/** Less of the beam than this counts as shade. */
const DISC_SEEN = 0.5;

/** The optics that are shut in a month (1..12) at a minute of the day, and what they do together. */
export function transmittanceAt(schedules: readonly CurtainSchedule[], month: number, minute: number): Transmittance {
  return transmittanceOf(schedules.filter((p) => p.months.includes(month) && isShutAt(p, minute)).map((p) => p.optics));
}

/** Works out a window's transmittance for every hour of every month, to the minute. */
export function transmittanceYear(schedules: readonly CurtainSchedule[]): TransmittanceYear {
  const year = {
    straight: new Float64Array(HOUR_BINS),
    spread: new Float64Array(HOUR_BINS),
    veiled: new Float64Array(HOUR_BINS),
    twice: new Float64Array(HOUR_BINS),
    straightMost: new Float64Array(HOUR_BINS),
    sunShare: new Float64Array(HOUR_BINS),
    schedules,
  };
  const edges = schedules.flatMap((p) => [p.fromMinute, p.toMinute]);
  for (let month0 = 0; month0 < 12; month0++) {
    for (let hour = 0; hour < 24; hour++) {
      const bin = month0 * 24 + hour;
      const from = hour * 60;
      const cuts = [from, ...edges.filter((edge) => edge > from && edge < from + 60).sort((p, q) => p - q), from + 60];
      for (let i = 0; i + 1 < cuts.length; i++) {
        const share = (cuts[i + 1]! - cuts[i]!) / 60;
        const now = transmittanceAt(schedules, month0 + 1, cuts[i]!);
        year.straight[bin]! += share * now.straight;
        year.spread[bin]! += share * now.spread;
        year.veiled[bin]! += share * now.veiled;
        year.twice[bin]! += share * now.twice;
        year.straightMost[bin] = Math.max(year.straightMost[bin]!, now.straight);
        if (now.straight >= DISC_SEEN) year.sunShare[bin]! += share;
      }
    }
  }
  const onPane = schedules.filter(({ optics }) => optics.onPane);
  return { ...year, ofPane: onPane.length === schedules.length ? null : transmittanceYear(onPane) };
}

/** A window without curtains. */
export const UNCURTAINED_YEAR: TransmittanceYear = transmittanceYear([]);
