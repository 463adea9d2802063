/** What a logger's record taught of a room: how far off the guesses are that its air is computed from. */
import type { Airing, Envelope, Heating } from './room-climate';

export interface LearntAir {
  readonly id: string;
  readonly roomId: string;
  /**
   * Factors on what is taken for its change of air, its water, the heat through its walls, that of its sun and that
   * which its walls and things hold.
   */
  readonly airing: number;
  readonly water: number;
  readonly walls: number;
  readonly sun: number;
  readonly holds: number;
  /** Warmer than what is set by day and by night, or than its neighbours where nothing heats it, K. */
  readonly dayK: number;
  readonly nightK: number;
  /** What is left of doubt: of the factors' logarithms, and K. */
  readonly airingSpread: number;
  readonly waterSpread: number;
  readonly wallsSpread: number;
  readonly sunSpread: number;
  readonly holdsSpread: number;
  readonly dayKSpread: number;
  readonly nightKSpread: number;
  /** Days of record it was learnt from. */
  readonly days: number;
  /** What was said of the room then: it holds as long as this does. */
  readonly heatingThen: Heating;
  readonly airingThen: Airing;
  readonly envelopeThen: Envelope;
}
