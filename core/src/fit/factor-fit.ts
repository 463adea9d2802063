/** What is found of one factor in one month: what the spot gives, what is wanted, and what that costs. */
import { distanceFromBand } from './trapezoid';

export const FACTORS = ['light', 'day-length', 'warmth', 'moisture', 'air'] as const;
export type Factor = (typeof FACTORS)[number];

export type Direction = 'too-little' | 'right' | 'too-much';

/** What about a factor is meant. */
export type Aspect =
  | 'dli'
  /** The brightest hours of a clear day. */
  | 'peak'
  | 'day-length'
  | 'day'
  | 'night'
  /** The coldest nights and the hottest afternoons of the month. */
  | 'cold-night'
  | 'hot-day'
  /** How far the warmth goes up and down in a day, and how much cooler the night is than the day. */
  | 'swing'
  | 'night-drop'
  /** How strongly the air of the day dries, and how moist the night's is. */
  | 'dryness'
  | 'humidity'
  | 'movement';

/** `short`: it lives but does not do its best; `danger`: it is harmed, or lives on its reserve and will use it up. */
export type Severity = 'fine' | 'short' | 'danger';

export interface FactorFit {
  readonly factor: Factor;
  readonly aspect: Aspect;
  /** 0..1: what this factor alone would leave of full growth, or where it harms, of the plant's health. */
  readonly score: number;
  readonly direction: Direction;
  readonly severity: Severity;
  /** What the spot gives and what is wanted, in the factor's unit (for air movement its place in `AIR_MOVEMENTS`). */
  readonly gets: number;
  readonly wantsFrom: number;
  readonly wantsTo: number;
  /** Signed distance from the wanted band, in the factor's unit. */
  readonly distance: number;
  /** Hours of the day meant in which the plant's limit is passed; null where no limit is. */
  readonly hoursBeyond: number | null;
  /** Whether a poor and a good year would be judged differently. */
  readonly depends: 'on-the-year' | 'no';
}

/** What is found of one factor, before what follows from it. */
type Found = Omit<FactorFit, 'distance' | 'direction' | 'depends' | 'severity' | 'hoursBeyond'> &
  Partial<Pick<FactorFit, 'depends' | 'severity' | 'hoursBeyond'>>;

/** Under this, what a factor leaves is worth a word. */
export const WORTH_A_WORD = 0.8;
/** Under this, a factor that harms endangers the plant. */
export const IN_DANGER = 0.5;

/** Completes what is found with what follows from it. */
export function factorFit(found: Found): FactorFit {
  const { factor, aspect, score, gets, wantsFrom, wantsTo, hoursBeyond = null, depends = 'no' } = found;
  const distance = distanceFromBand(gets, wantsFrom, wantsTo);
  const direction = distance < 0 ? 'too-little' : distance > 0 ? 'too-much' : 'right';
  const severity = found.severity ?? (direction === 'right' || score >= WORTH_A_WORD ? 'fine' : 'short');
  // Field by field: thousands are made for each answer, and copying an object whole takes several times as long.
  return { factor, aspect, score, severity, gets, wantsFrom, wantsTo, distance, direction, hoursBeyond, depends };
}

/** Of a factor that can harm at once: in danger where little is left. */
export const harmFit = (found: Found): FactorFit =>
  factorFit(found.score <= IN_DANGER ? { ...found, severity: 'danger' } : found);

export function worse(p: FactorFit, q: FactorFit): FactorFit {
  return q.score < p.score ? q : p;
}
