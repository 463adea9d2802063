/** How long a piece of work takes, for the benchmarks. */

/** Milliseconds that work takes. */
export function timed(work: () => unknown): number {
  const startedMs = performance.now();
  work();
  return performance.now() - startedMs;
}

/** The middle one of several values. */
export const median = (values: readonly number[]): number => [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)]!;
