/** What is odd in a logger's samples: gaps, jumps, a sensor that is stuck, instants told twice. */

export interface LoggedOddities {
  readonly samples: number;
  /** Instants that were there already; the later value stands. */
  readonly twice: number;
  /** Pauses of more than so many usual steps, and the longest, hours. */
  readonly gaps: number;
  readonly longestGapH: number;
  /** Changes between two samples that air hardly makes. */
  readonly jumps: number;
  /** Stretches in which a sensor told the very same for a day or more. */
  readonly stuck: number;
  /** Samples that came earlier in time than the one before. */
  readonly outOfOrder: number;
}

/** A pause is a gap from so many usual steps on, and from this many minutes. */
const GAP_STEPS = 4;
const LEAST_GAP_MS = 30 * 60_000;
/** Within half an hour the air of a room changes by no more, K and points. */
const JUMP_WITHIN_MS = 30 * 60_000;
const JUMP = { temperature: 6, humidity: 25 } as const;
const STUCK_MS = 24 * 3_600_000;
/** Samples whose steps tell the usual one. */
const STEPS_LOOKED_AT = 200;

/** Looks at one quantity's samples as they come. @param quantity jumps are told of warmth and humidity alone */
export function oddityWatch(quantity: string) {
  const most = JUMP[quantity as keyof typeof JUMP] ?? Infinity;
  const steps: number[] = [];
  let usualMs = 0;
  let last: { at: number; value: number } | null = null;
  let sameSince = 0;
  let isStuck = false;
  const found = { samples: 0, twice: 0, gaps: 0, longestGapH: 0, jumps: 0, stuck: 0, outOfOrder: 0 };
  return {
    look(at: number, value: number): void {
      found.samples++;
      if (last) {
        const step = at - last.at;
        if (step === 0) found.twice++;
        else if (step < 0) found.outOfOrder++;
        else {
          if (steps.length < STEPS_LOOKED_AT) {
            steps.push(step);
            usualMs = [...steps].sort((p, q) => p - q)[Math.floor(steps.length / 2)]!;
          }
          if (step > Math.max(LEAST_GAP_MS, GAP_STEPS * usualMs)) {
            found.gaps++;
            found.longestGapH = Math.max(found.longestGapH, step / 3_600_000);
          } else if (step <= JUMP_WITHIN_MS && Math.abs(value - last.value) > most) found.jumps++;
        }
        if (value !== last.value) {
          sameSince = at;
          isStuck = false;
        } else if (!isStuck && at - sameSince >= STUCK_MS) {
          found.stuck++;
          isStuck = true;
        }
      } else sameSince = at;
      last = { at, value };
    },
    found: (): LoggedOddities => ({ ...found }),
  };
}
