/** How long a piece of work takes, for the benchmarks. */

/** Milliseconds that work takes. */
export function timed(work: () => unknown): number {
  const startedMs = performance.now();
  work();
  return performance.now() - startedMs;
}

const PACE_VALUES = 4_000_000;

/** A fixed piece of work, ms, on more numbers than a processor keeps near: tells how fast the machine is at the moment. */
export function pace(): number {
  const values = Float64Array.from({ length: PACE_VALUES }, (_, i) => (i % 97) / 97);
  return median(
    Array.from({ length: 5 }, () =>
      timed(() => {
        let sum = 0.5;
        for (let pass = 0; pass < 3; pass++) for (let i = 0; i < PACE_VALUES; i++) sum += values[i]! * (1 - sum * 1e-9);
        return sum;
      }),
    ),
  );
}

/** The middle one of several values. */
export const median = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)]!;
